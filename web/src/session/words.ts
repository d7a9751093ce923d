// How long something takes, and when: as one says it.
import type { Session } from '../api/client';

/** "1 h 20 min", "4 min", "under a minute". */
export function lasting(seconds: number): string {
  const minutes = Math.round(seconds / 60);
  if (minutes < 1) return 'under a minute';
  const hours = Math.floor(minutes / 60);
  const rest = minutes % 60;
  return [hours && `${hours} h`, rest && `${rest} min`].filter(Boolean).join(' ');
}

/** A time of day.
 * @param at ms */
export function clock(at: number): string {
  return new Date(at).toLocaleTimeString([], { hour: '2-digit', minute: '2-digit', hour12: false });
}

/** A time of day, so many seconds after a moment. */
export const timeOf = (asOf: string, seconds: number): string => clock(Date.parse(asOf) + seconds * 1000);

/** A closure of a session by its garment, and by its own name too where the garment has more than one there. */
export function calledIn(doc: Session, id: number | null | undefined): string {
  const closure = doc.closures.find((one) => one.id === id);
  if (!closure) return '';
  const alone = doc.closures.filter((one) => one.garment === closure.garment).length === 1;
  return alone ? closure.garment : `${closure.garment}: ${closure.name}`;
}

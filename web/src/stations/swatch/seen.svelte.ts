// Seen is a test hole as it is looked at: kept in the browser as it is filled in.
import { keep, recall } from '../../api/browser_store';
import type { EntryTyped, Look, PhotoReading } from '../../api/client';

export type Passes = NonNullable<EntryTyped['passes']>;
export type Symptom = NonNullable<EntryTyped['symptoms']>[number];
export type Looks = NonNullable<EntryTyped['looks']>;
type Form = {
  passes: Passes | '';
  measured: string;
  /** It was read off the caliper, not a ruler. */ caliper: boolean;
  /** Or off a photo, and how far that is off as a rule, mm. */ photo?: number | undefined;
  looks: Record<string, string>;
  symptoms: Symptom[];
  note: string;
  /** Where somebody is who goes question by question; none before the first and after the last. */ panel?: string;
};

// Nothing is preselected: what was not looked at is not said.
const empty = (): Form => ({ passes: '', measured: '', caliper: false, looks: {}, symptoms: [], note: '' });

export class Seen {
  form = $state<Form>(empty());

  /** What is wrong with it, or nothing, while it is on its way into the log. */
  logging: Promise<string> | undefined;

  /** The photo it was measured from: kept with the test once that is saved. */
  picture = $state.raw<File>();

  constructor(private readonly key: string) {
    this.form = { ...empty(), ...recall<Form>(key) };
  }

  byRuler(): void {
    this.form.caliper = false;
    this.form.photo = undefined;
  }

  byCaliper(): void {
    this.byRuler();
    this.form.caliper = true;
  }

  byPhoto(figures: PhotoReading['figures'], file: File | undefined): void {
    const slit = figures.find((one) => one.path === 'swatch.measured');
    if (!slit) return;
    this.byRuler();
    this.form.measured = slit.text;
    this.form.photo = slit.spread;
    this.picture = file;
  }

  keep(): void {
    keep(this.key, $state.snapshot(this.form));
  }

  /** It is in the log: the form is empty again. */
  clear(): void {
    this.form = empty();
    this.picture = undefined;
    keep(this.key, undefined);
  }

  /** What was said before, to be said otherwise. */
  take({ passes, measured, looks, symptoms, note, with: sewnWith }: Partial<EntryTyped>): void {
    const caliper = sewnWith?.['measured.with'] === 'caliper';
    const off = sewnWith?.['measured.with'] === 'photo' ? Number(sewnWith['measured.off']) : undefined;
    const said = {
      passes: passes ?? '',
      measured: measured ?? '',
      caliper,
      photo: off,
      looks: { ...looks },
    } as const;
    this.form = { ...empty(), ...said, symptoms: [...(symptoms ?? [])], note: note ?? '' };
  }

  answer(look: Look['key']): string {
    return look === 'fit' ? this.form.passes : (this.form.looks[look] ?? '');
  }

  say(look: Look['key'], grade: string): void {
    if (look === 'fit') this.form.passes = grade as Passes;
    else this.form.looks[look] = grade;
  }

  /** Whether anything was said at all. */
  get said(): boolean {
    const { passes, measured, looks, symptoms, note } = this.form;
    return Boolean(passes || measured.trim() || symptoms.length || note.trim() || Object.keys(looks).length);
  }

  /** As it is entered, with what it was sewn with; of looks only those that are asked. */
  entry(
    asked: Look['key'][],
    sewnWith: NonNullable<EntryTyped['with']>,
  ): Omit<EntryTyped, 'kind' | 'happened_at' | 'sent_at'> {
    const { passes, looks, caliper, photo, measured, symptoms, note } = $state.snapshot(this.form);
    const seen = Object.fromEntries(
      Object.entries(looks).filter(([look]) => asked.some((key) => key === look)),
    );
    const by = caliper
      ? { 'measured.with': 'caliper' }
      : photo
        ? { 'measured.with': 'photo', 'measured.off': photo.toFixed(3) }
        : {};
    return {
      measured,
      symptoms,
      note,
      with: { ...sewnWith, ...by },
      looks: seen as Looks,
      ...(passes ? { passes } : {}),
    };
  }
}

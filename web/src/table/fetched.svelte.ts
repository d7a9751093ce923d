// Fetched is what of the table is there: the station that is looked at first, and by and by all that would be needed
// without a connection.
import { AFTER_THE_FIRST } from '../api/pause';
import { fetchAll } from '../stations/stations';
import { fetchParts } from '../ui/later.svelte';

export class Fetched {
  /** The first station and the typefaces are there: all of the table is shown at once, so that nothing moves under the eye. */
  ready = $state(false);
  /** How many stations would open without a connection. */
  stations = $state(0);

  after(station: Promise<unknown>): void {
    // Words wrap otherwise in another typeface.
    void Promise.allSettled([station, document.fonts.ready]).then(() => (this.ready = true));
  }

  /** @returns how to stop */
  begin(): () => void {
    const timer = setTimeout(() => {
      void fetchAll().then((count) => (this.stations = count));
      void fetchParts();
    }, AFTER_THE_FIRST);
    return () => clearTimeout(timer);
  }
}

// Seen is a test hole as it is looked at: kept in the browser as it is filled in.
import { keep, recall } from '../../api/browser_store';
import type { EntryTyped } from '../../api/client';

export type Passes = NonNullable<EntryTyped['passes']>;
export type Symptom = NonNullable<EntryTyped['symptoms']>[number];
type Form = { passes: Passes | ''; measured: string; symptoms: Symptom[]; note: string };

// Nothing is preselected: what was not looked at is not said.
const EMPTY: Form = { passes: '', measured: '', symptoms: [], note: '' };

export class Seen {
  form = $state<Form>({ ...EMPTY });

  constructor(private readonly key: string) {
    this.form = { ...EMPTY, ...recall<Form>(key) };
  }

  keep(): void {
    keep(this.key, $state.snapshot(this.form));
  }

  /** It is in the log: the form is empty again. */
  clear(): void {
    this.form = { ...EMPTY, symptoms: [] };
    keep(this.key, undefined);
  }
}

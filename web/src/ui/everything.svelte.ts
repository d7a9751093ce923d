// Whether every fold stands open, for those who want it all on one page; and which folds somebody opened.
import { keep, recall } from '../api/browser_store';

class Everything {
  on = $state(recall<boolean>('everything') ?? false);

  toggle(): void {
    this.on = !this.on;
    keep('everything', this.on ? true : undefined);
  }
}

export const everything = new Everything();

/** A fold stays as somebody left it. */
export const foldOpen = (key: string): boolean => everything.on || (recall<boolean>(`fold:${key}`) ?? false);
export function rememberFold(key: string, open: boolean): void {
  if (!everything.on) keep(`fold:${key}`, open ? true : undefined);
}

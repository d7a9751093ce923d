// What stayed behind when something was begun like another one: said once, where somebody goes on with it.
import type { Closure } from '../api/client';

class Begun {
  private id = $state(0);
  private left = $state.raw<string[]>([]);

  say({ id, left_behind }: Closure): void {
    this.id = id;
    this.left = left_behind ?? [];
  }

  of(id: number): string {
    return id === this.id && this.left.length > 0 ? `Not copied: ${this.left.join(', ')}.` : '';
  }

  close(): void {
    this.id = 0;
  }
}

export const begun = new Begun();

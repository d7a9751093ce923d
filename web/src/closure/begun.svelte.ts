// What stayed behind when something was begun like another one: told once, where somebody goes on with it.
type Kind = 'closure' | 'garment';

class Begun {
  private what = $state('');
  private left = $state.raw<string[]>([]);

  say(kind: Kind, id: number, left: string[] = []): void {
    this.what = `${kind} ${id}`;
    this.left = left;
  }

  of(kind: Kind, id: number): string {
    return this.what === `${kind} ${id}` && this.left.length > 0
      ? `Not copied: ${this.left.join(', ')}.`
      : '';
  }

  close(): void {
    this.what = '';
  }
}

export const begun = new Begun();

// What is read aloud of the table: its title, and what a change made of the answer of this station.
import type { Closure, StageState } from '../api/client';
import { announce } from '../ui/announce.svelte';

export class Spoken {
  private said = '';

  say(closure: Closure | undefined, stage: StageState | undefined): void {
    const name = closure ? `${closure.name}, ${closure.garment.name}` : 'Nimble Eyelet';
    document.title = stage ? `${stage.title}: ${name}` : name;
    const answer = stage ? `${stage.title}: ${stage.answer}` : '';
    if (this.said && answer !== this.said && this.said.startsWith(`${stage?.title}:`)) announce(answer);
    this.said = answer;
  }
}

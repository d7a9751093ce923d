// What was ticked and is not told yet is laid over what the server knows, so that the hands can go on
// without it. Once everything is told, the server's own word holds.
import type { Sheet, Step } from '../../api/client';
import { factOf, stepDone } from '../../closure/waiting';
import type { Said } from '../../outbox/press';

type Sewing = NonNullable<Sheet['sewing']>;
export type Progress = {
  steps: Step[];
  now: Step | undefined;
  newest: Step | undefined;
  done: number;
  skipped: Step[];
};

export function progress(sewing: Sewing, facts: Said[]): Progress {
  const find = (key: string | null) => sewing.steps.find((step) => step.key === key);
  if (facts.length === 0) {
    const skipped = sewing.steps.filter((step) => step.passed_over);
    return {
      steps: sewing.steps,
      now: find(sewing.next),
      newest: find(sewing.newest),
      done: sewing.done,
      skipped,
    };
  }
  const steps = sewing.steps.map((step) => ({
    ...step,
    done: stepDone(facts, step.key, step.done, step.entry),
    entry: factOf(facts, step.key, step.entry),
  }));
  const furthest = steps.findLastIndex((step) => step.done);
  return {
    steps,
    now: steps.find((step) => !step.done),
    newest: steps[furthest],
    done: steps.filter((step) => step.done).length,
    skipped: steps.slice(0, furthest + 1).filter((step) => !step.done),
  };
}

/** Steps under their headings. */
export function grouped(steps: Step[]): { part: string; steps: Step[] }[] {
  const groups: { part: string; steps: Step[] }[] = [];
  for (const step of steps) {
    if (groups.at(-1)?.part !== step.part) groups.push({ part: step.part, steps: [] });
    groups.at(-1)?.steps.push(step);
  }
  return groups;
}

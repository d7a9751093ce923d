// A session as it is worked with: each step with what the machine is set to after it. It is sent with every such thing
// once, named by number; the same thing is the same object here.
import type { Session, SessionSent } from '../api/client';

export function unpacked({ things, ...sent }: SessionSent): Session {
  return {
    ...sent,
    steps: sent.steps.map((step) => ({
      ...step,
      ledger: step.ledger.flatMap((number) => things[number] ?? []),
    })),
  };
}

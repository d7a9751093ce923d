/** How long is waited for what comes in its own time before it is taken for hung; whatever passes is not slowed by it. */
export const PATIENCE = { timeout: 100_000, interval: 10 };

/** A number of things, each called by this noun. */
export const counted = (many: number, noun: string): string => `${many} ${noun}${many === 1 ? '' : 's'}`;

/** A line drawing on a sheet of 96 by 72: what is filled, lines, thread, and what the eye should find first. */
export type Drawing = { fill?: string[]; line?: string[]; thread?: string[]; red?: string[] };

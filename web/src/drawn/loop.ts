/** A loop at the edge, mm: between its legs, and how far it stands out. */
export type Loop = { base: number; reach: number };

/** A cubic reaches three quarters of the way to its handles: these lie a third further out. */
export function loopPath(
  run: number,
  { base, reach }: Loop,
  at: (along: number, across: number) => readonly number[],
): string {
  const [from, out, back, to] = [
    [run - base / 2, 0],
    [run - base / 2, (-reach * 4) / 3],
    [run + base / 2, (-reach * 4) / 3],
    [run + base / 2, 0],
  ].map(([along, across]) => at(along!, across!).join(' '));
  return `M${from} C${out} ${back} ${to}`;
}

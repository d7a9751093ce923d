// The figures of the cloth that a new closure begins with.
import type { Catalogue } from '../../api/client';

export type OfTheShelf = { name: string; fields: Record<string, string> };

/** Off the shelf, typical for its kind, or none, which leaves them as they were used last. */
export function clothFigures(
  chosen: string,
  shelf: OfTheShelf[],
  catalogue: Catalogue | undefined,
): Record<string, string> {
  const item = shelf.find((other) => other.name === chosen);
  if (item)
    return Object.fromEntries(Object.entries(item.fields).map(([field, text]) => [`cloth.${field}`, text]));
  const usual = catalogue?.cloth_figures.find((kind) => `kind:${kind.key}` === chosen);
  if (!usual) return {};
  const { key, ...figures } = usual;
  return {
    'cloth.kind': key,
    ...Object.fromEntries(Object.entries(figures).map(([name, text]) => [`cloth.${name}`, text])),
  };
}

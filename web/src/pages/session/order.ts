// Moving one block of a session by hand: only what the blocks of one closure allow, each after the one before it.
import type { Session, SessionChange } from '../../api/client';

type Wish = NonNullable<SessionChange['wish']>;

export function wishOf(doc: Session): Wish {
  return doc.order.moments
    .filter((moment) => moment.kind === 'work')
    .map((moment) => ({ closure: Number(moment.closure), block: moment.block as Wish[number]['block'] }));
}

/** Two blocks of one closure keep their order. */
export function movable(wish: Wish, index: number, by: -1 | 1): boolean {
  const other = wish[index + by];
  return other !== undefined && other.closure !== wish[index]?.closure;
}

export function moved(wish: Wish, index: number, by: -1 | 1): Wish {
  const [one, other] = [wish[index], wish[index + by]];
  if (!one || !other) return wish;
  return wish.map((block, place) => (place === index ? other : place === index + by ? one : block));
}

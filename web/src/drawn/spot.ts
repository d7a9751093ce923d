import type { Sheet } from '../api/client';

/** What is neither cut nor stitched in a line, nor a loop at the edge, is drawn as a spot. */
export const isSpot = (sewn: Sheet['button']['sewn']): boolean => !['hole', 'tack', 'loop'].includes(sewn);

/** As a sentence or a name begins. */
export const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);

/** A figure stays on one line with its unit, and a whole number with its fraction. */
export const unbroken = (text: string): string =>
  text.replace(/(\d) (?=\d+\/\d)/g, '$1\u00a0').replace(/(\d) (?=(?:mm|cm|in|m|yd)\b)/g, '$1\u00a0');

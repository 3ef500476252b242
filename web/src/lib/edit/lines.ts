/** Pieces as they are written or spoken: a line each, or one after another with “next” said between two. */
const BETWEEN = /\n|(?:^|,?\s)next\b[,.]?\s/gim;

/** The pieces of a text, each for itself: dictation has no lines. What else is said of a piece stays with it. */
export const linesOf = (text: string): string[] =>
  text
    .split(BETWEEN)
    .map((one) => one.trim())
    .filter(Boolean);

/** With a capital at the beginning. */
export const capital = (words: string): string => words[0]!.toUpperCase() + words.slice(1);

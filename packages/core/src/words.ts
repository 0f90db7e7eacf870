/** With a capital at the beginning. */
export const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);

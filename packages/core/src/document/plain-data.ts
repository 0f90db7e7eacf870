/** Deeper than any document goes; more is no document. */
const DEEPEST = 32;

const spoilt = (text: string): boolean => /[\0\p{Surrogate}]/u.test(text);

/** What every object has by nature. */
export const BY_NATURE: ReadonlySet<string> = new Set(Object.getOwnPropertyNames(Object.prototype));

/**
 * What plain data from outside holds that can't be kept, in words; null when there is nothing. Text with a character that is none (NUL, half
 * of an emoji) can't be stored, and a key that every object has by nature would stand for what is not there, or be dropped without a word.
 */
export function unkeepable(input: unknown): string | null {
  const open: { value: unknown; depth: number }[] = [{ value: input, depth: 0 }];
  for (let next = open.pop(); next; next = open.pop()) {
    const { value, depth } = next;
    if (typeof value === 'string' && spoilt(value)) return 'A text has a character in it that is none. Type it again.';
    if (typeof value !== 'object' || value === null) continue;
    if (depth === DEEPEST) return 'It is nested too deeply.';
    for (const [key, inner] of Object.entries(value)) {
      if (BY_NATURE.has(key)) return `“${key}” can’t be the name of anything.`;
      if (spoilt(key)) return 'A name has a character in it that is none.';
      open.push({ value: inner, depth: depth + 1 });
    }
  }
  return null;
}

/** The text cut to so many characters at most, never in the middle of one that is made of several. */
export function shortened(text: string, most: number): string {
  if (text.length <= most) return text;
  let cut = '';
  for (const { segment } of new Intl.Segmenter().segment(text)) {
    if (cut.length + segment.length > most) break;
    cut += segment;
  }
  return cut;
}

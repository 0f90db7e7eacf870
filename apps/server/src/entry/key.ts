import { createHmac, randomBytes, timingSafeEqual } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';

/** What lets other machines in. Whoever has it may do all that the people of this workspace may. */
export class Key {
  private constructor(readonly text: string) {}

  /** The key in a file, made there when there is none. Only its owner may read the file. */
  static inFile(path: string): Key {
    if (!existsSync(path)) writeFileSync(path, `${fresh()}\n`, { mode: 0o600 });
    return new Key(readFileSync(path, 'utf8').trim());
  }

  /** One that nobody knows: no other machine is let in. */
  static unknown(): Key {
    return new Key(fresh());
  }

  /** What a browser keeps in the place of the key. */
  get token(): string {
    return createHmac('sha256', this.text).update('velvet-tape entry').digest('base64url');
  }

  is(text: string): boolean {
    return alike(text, this.text);
  }

  admits(token: string): boolean {
    return alike(token, this.token);
  }
}

const fresh = (): string => randomBytes(24).toString('base64url');

/** Takes as long whatever the two have in common. */
function alike(a: string, b: string): boolean {
  const digest = (text: string) => createHmac('sha256', 'compare').update(text).digest();
  return timingSafeEqual(digest(a), digest(b));
}

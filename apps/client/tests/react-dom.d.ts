/** Of the library that draws in the browser what tests use: it comes without types. */
declare module 'react-dom/client' {
  import type { ReactNode } from 'react';
  export function createRoot(
    host: Element,
    options: { onCaughtError(error: unknown): void },
  ): { render(what: ReactNode): void; unmount(): void };
}

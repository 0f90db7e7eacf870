/** What is said of something that failed. */
export const inWords = (error: unknown): string => (error instanceof Error ? error.message : String(error));

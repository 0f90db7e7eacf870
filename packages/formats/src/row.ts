/** A line of a table, by the heads of its columns. */
export type Row = Readonly<Record<string, string | number>>;

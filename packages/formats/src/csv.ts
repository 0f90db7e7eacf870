import Papa from 'papaparse';
import type { Row } from './row';

/** Rows as CSV (RFC 4180). Cells that a spreadsheet would run as formulas are made harmless. It knows nothing of plans, and comes only when it is asked for. */
export const toCsv = (rows: readonly Row[]): string =>
  Papa.unparse([...rows], { escapeFormulae: true, newline: '\r\n' });

import { type Mark, type Painter, painted } from '@velvet-tape/core';
import PDFDocument from 'pdfkit';
import { INKS, LETTERING, paperStyle } from './paper-style';
import { arcData, pathData } from './path-data';
import type { PageDrawn } from './page-svg';

/** The two faces of the house, as TrueType files. What of them is used is put into the PDF. */
export interface Fonts {
  readonly text: Uint8Array;
  readonly title: Uint8Array;
}

export interface PdfPage extends PageDrawn {
  /** What the page is called in the list of pages, and for whoever listens. */
  readonly label: string;
  readonly describes: string;
}

export interface PdfFacts {
  readonly title: string;
  readonly author: string;
  readonly date: Date;
  /** JPEG or PNG, by the ids of pictures. */
  readonly pictures?: ReadonlyMap<string, Uint8Array>;
  /** Told after each page; false stops it. */
  readonly onPage?: (done: number) => boolean;
  /** Told the signs that no face of the house has: they are missing on the page. */
  readonly onMissing?: (signs: readonly string[]) => void;
}

/** Points of PDF to the millimetre. */
const POINTS = 72 / 25.4;

/** Stopped before it was done. */
export class Stopped extends Error {}

/**
 * Pages as PDF (ISO 32000): vectors in true size, lettering as text with its faces in the file, pages with labels, each page a figure with words for whoever listens.
 */
export async function pagesToPdf(pages: readonly PdfPage[], fonts: Fonts, facts: PdfFacts): Promise<Uint8Array> {
  const { title, author, date, pictures = new Map<string, Uint8Array>(), onPage, onMissing } = facts;
  const missing = new Set<string>();
  const doc = new PDFDocument({
    ...{ autoFirstPage: false, tagged: true, lang: 'en', displayTitle: true, pdfVersion: '1.7' },
    // no face of its own: those of the house are the only ones
    font: null as unknown as string,
    info: { Title: title, Author: author, Creator: 'Velvet Tape', Producer: 'Velvet Tape', CreationDate: date },
  });
  const parts: Uint8Array[] = [];
  const ended = new Promise<void>((resolve, reject) => {
    doc.on('data', (part: Uint8Array) => parts.push(part));
    doc.on('end', () => resolve());
    doc.on('error', reject);
  });
  doc.registerFont('text', fonts.text as Buffer);
  doc.registerFont('title', fonts.title as Buffer);
  for (const [i, page] of pages.entries()) {
    doc.addPage({ size: [page.width * POINTS, page.height * POINTS], margin: 0 });
    const figure = doc.struct('Figure', { alt: page.describes }, () => {
      doc.save();
      doc.scale(POINTS);
      const painter = pdfPainter(doc, pictures, missing);
      for (const mark of page.marks) painted(painter, mark);
      doc.restore();
    });
    doc.addStructure(figure);
    figure.end();
    if (onPage?.(i + 1) === false) throw new Stopped('Stopped.');
    // a page at a time, so that a message can come in
    await new Promise((next) => setTimeout(next, 0));
  }
  if (missing.size > 0) onMissing?.([...missing]);
  labelled(doc, pages);
  doc.end();
  await ended;
  return joined(parts);
}

const EMPTY = undefined as unknown as Buffer;

function labelled(doc: PDFKit.PDFDocument, pages: readonly PdfPage[]): void {
  const labels = doc.ref({ Nums: pages.flatMap(({ label }, i) => [i, { P: textOf(label) }]) });
  labels.end(EMPTY);
  (doc as unknown as { _root: { data: Record<string, unknown> } })._root.data['PageLabels'] = labels;
}

/** Text, as the library writes it: a `String` is written as text, a string as a name. */
const textOf = (text: string): string => new String(text) as string;

/** Has the face that is written with this sign? */
function hasSign(doc: PDFKit.PDFDocument, sign: string): boolean {
  const { font } = (doc as unknown as { _font: { font: { hasGlyphForCodePoint(point: number): boolean } } })._font;
  return font.hasGlyphForCodePoint(sign.codePointAt(0)!);
}

function pdfPainter(
  doc: PDFKit.PDFDocument,
  pictures: ReadonlyMap<string, Uint8Array>,
  missing: Set<string>,
): Painter<void> {
  const drawn = (d: string, style: ReturnType<typeof paperStyle>) => {
    const { fill, stroke, width, opacity, dashes, round } = style;
    if (d === '' || (!fill && !stroke)) return;
    doc.save();
    doc.path(d);
    if (stroke) {
      doc
        .lineWidth(width)
        .strokeOpacity(opacity)
        .lineCap(round ? 'round' : 'butt')
        .lineJoin('miter');
      if (dashes) doc.dash(dashes as unknown as number, {});
    }
    if (fill && stroke) doc.fillAndStroke(fill, stroke, 'even-odd');
    else if (fill) doc.fill(fill, 'even-odd');
    else doc.stroke(stroke!);
    doc.restore();
  };
  return {
    path: ({ rings, closed, colour }, style) => drawn(pathData(rings, closed), paperStyle(style, colour)),
    arc: (mark, style) => drawn(arcData(mark), paperStyle(style)),
    text: (mark, { text }) => {
      const { at, turn, size, align } = mark;
      doc.save();
      doc.font(text?.face === 'title' ? 'title' : 'text').fontSize(LETTERING * size);
      for (const sign of mark.text) if (!hasSign(doc, sign)) missing.add(sign);
      const width = doc.widthOfString(mark.text);
      const left = align === 'left' ? 0 : align === 'right' ? width : width / 2;
      if (turn) doc.rotate(turn, { origin: [at.x, at.y] });
      doc.fillColor(INKS[text?.ink ?? 'ink']);
      doc.text(mark.text, at.x - left, at.y, { lineBreak: false, baseline: 'svg-central' });
      doc.restore();
    },
    picture: ({ picture, width, height, shown, matrix, look }) => {
      const bytes = pictures.get(picture);
      if (!bytes) return;
      const [a, b, c, d, x, y] = matrix;
      doc.save();
      doc.transform(a, b, c, d, x, y);
      doc.rect(shown.left, shown.top, shown.width, shown.height).clip();
      doc.opacity(look.opacity);
      doc.image(bytes as Buffer, 0, 0, { width, height });
      doc.restore();
    },
  };
}

function joined(parts: readonly Uint8Array[]): Uint8Array {
  const all = new Uint8Array(parts.reduce((sum, { length }) => sum + length, 0));
  let at = 0;
  for (const part of parts) {
    all.set(part, at);
    at += part.length;
  }
  return all;
}

/** Has a picture to be fetched for a page? */
export const picturesOf = (marks: readonly Mark[]): string[] =>
  marks.flatMap((mark) => (mark.kind === 'picture' ? [mark.picture] : []));

import { fetchedOnce } from '../offline/fetched-once';
import { LONGEST_SIDE } from '@velvet-tape/contract';
import type { PDFDocumentProxy } from 'pdfjs-dist';
import { NotAPicture } from './check';

type Reader = typeof import('pdfjs-dist');

/** A page of a PDF: how large its paper is, mm, and which scale is written on it. */
export interface PdfPage {
  readonly number: number;
  readonly width: number;
  readonly height: number;
  /** 50 for 1:50; null where none, or more than one, is written. */
  readonly ratio: number | null;
}

export interface PdfFile {
  readonly pages: readonly PdfPage[];
  /** A page as a picture, and mm on its paper to a pixel. */
  render(page: number): Promise<{ picture: Blob; perPixel: number }>;
  close(): void;
}

/** Points of PDF are 1/72 inch (ISO 32000). */
const MM_PER_POINT = 25.4 / 72;
/** As good as a scan is, dots to the inch. */
const DPI = 200;
/** More pages than this are not offered. */
const MOST_PAGES = 60;
/** Where the build puts the library: it loads itself, and only when a PDF is brought in. */
const LIBRARY = '/pdf/pdf.min.mjs';
const WORKER = '/pdf/pdf.worker.min.mjs';

const reader = fetchedOnce(
  () =>
    new Promise<Reader>((resolve, reject) => {
      const script = document.createElement('script');
      script.type = 'module';
      script.src = LIBRARY;
      script.onload = () => {
        const { pdfjsLib } = globalThis as unknown as { pdfjsLib: Reader };
        pdfjsLib.GlobalWorkerOptions.workerSrc = WORKER;
        resolve(pdfjsLib);
      };
      script.onerror = () =>
        reject(new NotAPicture('What reads PDFs could not be loaded. Try again when there is a connection.'));
      document.head.append(script);
    }),
);

/** Opens a PDF. Throws `NotAPicture` where it is broken, or has a password. */
export async function openPdf(file: Blob): Promise<PdfFile> {
  const pdf = await reader();
  const data = new Uint8Array(await file.arrayBuffer());
  const task = pdf.getDocument({ data, isEvalSupported: false, useWasm: false });
  const document_ = await task.promise.catch((error: unknown) => {
    const password = error instanceof Error && error.name === 'PasswordException';
    throw new NotAPicture(
      password
        ? 'This PDF is protected with a password. Save it without one, or take a picture of the page.'
        : 'This PDF is broken and can’t be read.',
    );
  });
  const count = Math.min(MOST_PAGES, document_.numPages);
  const pages = await Promise.all(Array.from({ length: count }, (_, i) => pageOf(document_, i + 1)));
  return { pages, render: (page) => render(document_, page), close: () => void task.destroy() };
}

async function pageOf(document_: PDFDocumentProxy, number: number): Promise<PdfPage> {
  const page = await document_.getPage(number);
  const { width, height } = page.getViewport({ scale: 1 });
  const text = await page.getTextContent();
  const words = text.items.map((item) => ('str' in item ? item.str : '')).join(' ');
  return { number, width: width * MM_PER_POINT, height: height * MM_PER_POINT, ratio: statedScale(words) };
}

/** The scale that is written in a text, as 1:50 or M 1 : 50; null where none is, or several are. */
export function statedScale(words: string): number | null {
  const found = new Set([...words.matchAll(/\b1\s*[:∶]\s*(\d{1,4})\b/g)].map((match) => Number(match[1])));
  const [only] = [...found].filter((ratio) => ratio >= 5 && ratio <= 2000);
  return found.size === 1 && only !== undefined ? only : null;
}

async function render(document_: PDFDocumentProxy, number: number) {
  const page = await document_.getPage(number);
  const plain = page.getViewport({ scale: 1 });
  const scale = Math.min(DPI / 72, LONGEST_SIDE / Math.max(plain.width, plain.height));
  const viewport = page.getViewport({ scale });
  const canvas = document.createElement('canvas');
  canvas.width = Math.round(viewport.width);
  canvas.height = Math.round(viewport.height);
  await page.render({ canvas, viewport, background: '#fff' }).promise;
  const picture = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/png'));
  if (!picture) throw new NotAPicture('This page could not be drawn.');
  return { picture, perPixel: MM_PER_POINT / scale };
}

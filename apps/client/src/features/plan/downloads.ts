import { type DerivedFloor, type Plan, deriveFloor, shortened } from '@velvet-tape/core';
import type { AppDispatch, Command } from '../../store/store';
import { dataUrl } from '../../pictures/data-url';
import { pictureOf } from '../../sync/pictures';
import { planActions } from './plan-slice';
import { piecesMeant } from './selectors';
import { sayTrouble } from './underlay/work';
import { type Row, floorToSvg } from '@velvet-tape/formats';
import { filesWorker } from './files-worker';

export function download(name: string, type: string, content: BlobPart): void {
  const url = URL.createObjectURL(new Blob([content], { type }));
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}

/** A file name from a job's name: letters and digits of any script, the rest dashes. */
export const fileName = (name: string): string =>
  shortened(
    name
      .normalize('NFC')
      .replace(/[^\p{L}\p{N}]+/gu, '-')
      .replace(/^-+|-+$/g, ''),
    60,
  ) || 'plan';

/** Of a file of one floor: the job's name and the floor's. */
export const floorFileName = ({ plan, name }: Pick<DerivedFloor, 'plan' | 'name'>): string =>
  `${fileName(plan.job.name)}-${fileName(name)}`;

/** The floor as SVG at 1:50, with the underlays that are to print. */
export const downloadSvg =
  (plan: Plan, floor: string) =>
  async (dispatch: AppDispatch): Promise<void> => {
    const { name, north } = plan.job;
    const own = deriveFloor(plan, floor);
    const title = `${name}, ${own.name}`;
    const printed = Object.values(plan.underlays).filter((each) => each.floor === floor && each.prints && !each.hidden);
    try {
      const pictures = new Map<string, string>();
      for (const { picture } of printed) pictures.set(picture, await dataUrl(await pictureOf(picture)));
      const svg = floorToSvg(own, { scale: 50, title, north, pictures, pieces: piecesMeant(plan) });
      download(`${floorFileName(own)}-1-50.svg`, 'image/svg+xml', svg);
    } catch (error) {
      dispatch(sayTrouble(error));
    }
  };

/** Hands out a file; where what makes it can't be had, that is said. */
const handed =
  (make: () => Promise<void>) =>
  (dispatch: AppDispatch): Promise<void> =>
    make().catch(() => {
      dispatch(
        planActions.said({
          text: 'The file could not be made. Load the page again, then try once more.',
          tone: 'refused',
        }),
      );
    });

/** A table as CSV; the mark at its beginning tells spreadsheets that it is UTF-8. */
const handedTable = (name: string, rows: () => readonly Row[] | Promise<readonly Row[]>) =>
  handed(async () => {
    const { toCsv } = await import('@velvet-tape/formats/csv');
    download(`${name}.csv`, 'text/csv', `\uFEFF${toCsv(await rows())}`);
  });
const rowsOf = async (
  what: 'rooms' | 'readings' | 'openings' | 'pieces',
  plan: Plan,
  floor = '',
): Promise<readonly Row[]> => (await filesWorker()).rows(what, plan, floor);

/** The rooms of the job as CSV. */
export const downloadRooms = (plan: Plan) =>
  handedTable(`${fileName(plan.job.name)}-rooms`, () => rowsOf('rooms', plan));

/** The readings of a floor as CSV. */
export const downloadReadings = (floor: DerivedFloor) =>
  handedTable(`${floorFileName(floor)}-readings`, () => rowsOf('readings', floor.plan, floor.floor));

/** The doors and windows of a floor as CSV. */
export const downloadOpenings = (floor: DerivedFloor) =>
  handedTable(`${floorFileName(floor)}-doors-and-windows`, () => rowsOf('openings', floor.plan, floor.floor));

/** Pieces of a floor, those that are looked at, as CSV or as a workbook. */
export const downloadPieces = (floor: DerivedFloor, pieces: Plan['pieces'], as: 'table' | 'book') => {
  const { plan } = floor;
  const name = `${floorFileName(floor)}-pieces`;
  const rows = () => rowsOf('pieces', { ...plan, pieces }, floor.floor);
  if (as === 'table') return handedTable(name, rows);
  return handed(async () => {
    const { toXlsx } = await import('@velvet-tape/formats/xlsx');
    download(`${name}.xlsx`, XLSX, await toXlsx(plan.job.name, [{ name: 'Pieces', rows: await rows() }]));
  });
};

/** Doors and windows, and the glazing of rooms, as a workbook. */
export const downloadWorkbook = (floor: DerivedFloor) =>
  handed(async () => {
    const { toXlsx } = await import('@velvet-tape/formats/xlsx');
    const { name } = floor.plan.job;
    const book = await (await filesWorker()).book(floor.plan, floor.floor);
    download(`${floorFileName(floor)}-doors-and-windows.xlsx`, XLSX, await toXlsx(name, book));
  });

/** Rows of the job that were made by who shows them, as CSV. */
export const downloadTable =
  (what: string, rows: readonly Row[]): Command =>
  (dispatch, getState) =>
    void dispatch(handedTable(`${fileName(getState().plan.plan!.job.name)}-${what}`, () => rows));

/** The same as a workbook. */
export const downloadBook =
  (what: string, sheets: Parameters<typeof import('@velvet-tape/formats/xlsx').toXlsx>[1]): Command =>
  (dispatch, getState) => {
    const { name } = getState().plan.plan!.job;
    void dispatch(
      handed(async () => {
        const { toXlsx } = await import('@velvet-tape/formats/xlsx');
        download(`${fileName(name)}-${what}.xlsx`, XLSX, await toXlsx(name, sheets));
      }),
    );
  };

const XLSX = 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet';

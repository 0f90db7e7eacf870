import { type DerivedFloor, type Plan, deriveFloor, shortened } from '@velvet-tape/core';
import type { AppDispatch } from '../../store/store';
import { pictureOf } from '../../sync/pictures';
import { sayTrouble } from './underlay/work';
import { floorToSvg, openingsToCsv, readingsToCsv, roomsToCsv, scheduleSheets } from '@velvet-tape/formats';

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
      const svg = floorToSvg(own, { scale: 50, title, north, pictures });
      download(`${floorFileName(own)}-1-50.svg`, 'image/svg+xml', svg);
    } catch (error) {
      dispatch(sayTrouble(error));
    }
  };

const dataUrl = (blob: Blob): Promise<string> =>
  new Promise((resolve, reject) => {
    const reader = new FileReader();
    reader.onload = () => resolve(String(reader.result));
    reader.onerror = () => reject(new Error('The picture could not be read.'));
    reader.readAsDataURL(blob);
  });

/** The rooms of the job as CSV; the mark at its beginning tells spreadsheets that it is UTF-8. */
export const downloadCsv = (plan: Plan): void =>
  download(`${fileName(plan.job.name)}-rooms.csv`, 'text/csv', `\uFEFF${roomsToCsv(plan)}`);

/** The readings of a floor as CSV. */
export const downloadReadings = (floor: DerivedFloor): void =>
  download(`${floorFileName(floor)}-readings.csv`, 'text/csv', `\uFEFF${readingsToCsv(floor)}`);

/** The doors and windows of a floor as CSV. */
export const downloadOpenings = (floor: DerivedFloor): void =>
  download(`${floorFileName(floor)}-doors-and-windows.csv`, 'text/csv', `\uFEFF${openingsToCsv(floor)}`);

/** The same, and the glazing of rooms, as a workbook. */
export async function downloadWorkbook(floor: DerivedFloor): Promise<void> {
  const { toXlsx } = await import('@velvet-tape/formats/xlsx');
  const { name } = floor.plan.job;
  download(`${floorFileName(floor)}-doors-and-windows.xlsx`, XLSX, await toXlsx(name, scheduleSheets(floor)));
}

const XLSX = 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet';

import { deriveFloor } from '../derived';
import { type Point, boxAround } from '../geometry';
import {
  type Mark,
  type PictureMark,
  boxOf,
  cornersOf,
  drawFloorInParts,
  drawnBox,
  lookOf,
  printedPictures,
} from '../drawing';
import { ofOption } from '../finishes/look-of';
import type { Id, Plan, SheetFrame } from '../plan/plan';
import { chosenOption, drawAlterations, piecesOfOption, withoutGone } from '../options';
import { piecesIn } from '../pieces';
import { axonometricOf } from './axonometric';
import { captionOf } from './caption';
import { elevationsOf } from './elevations';
import { LETTERING, onPaper } from './paper-marks';
import { onlyRoom } from './only-room';
import { pictureOnPaper } from './picture';
import { sectionOf } from './section';
import { areasTable, openingsTable, piecesTable, roomsTable } from './tables';

/** A part of a page by itself, its upper left corner at the origin. mm on paper. */
export interface Drawn {
  readonly marks: readonly Mark[];
  readonly width: number;
  readonly height: number;
}

export type Content = Pick<SheetFrame, 'shows' | 'scale' | 'look'>;

/** Is it a drawing to scale, and no table? */
export const isDrawing = ({ kind }: Content['shows']): boolean =>
  kind === 'plan' || kind === 'room' || kind === 'elevations' || kind === 'section' || kind === 'axonometric';

/** What a frame shows, drawn to its scale. */
export function drawContent(plan: Plan, { shows, scale, look }: Content): Drawn {
  switch (shows.kind) {
    case 'plan':
      return planOf(plan, shows.floor, null, scale, look);
    case 'room':
      return planOf(plan, plan.rooms[shows.room]!.floor, shows.room, scale, look);
    case 'elevations':
      return elevationsOf(plan, shows.room, scale);
    case 'section':
      return sectionOf(plan, shows.floor, [shows.a, shows.b], scale);
    case 'axonometric':
      return axonometricOf(plan, shows, scale);
    case 'openings':
      return openingsTable(deriveFloor(plan, shows.floor));
    case 'rooms':
      return roomsTable(deriveFloor(plan, shows.floor));
    case 'pieces':
      return piecesTable(plan, shows.floor);
    case 'picture':
      return {
        marks: [pictureOnPaper('picture', shows, { x: 0, y: 0 }, scale)],
        ...{ width: scale, height: (scale * shows.height) / shows.width },
      };
    case 'areas':
      return areasTable(plan);
  }
}

/** Lettering over all lines, each figure on a bit of clean paper; names, which may lie over what is built, on none. */
function legible(marks: readonly Mark[]): Mark[] {
  const texts = marks.filter((mark) => mark.kind === 'text');
  const masks = texts
    .filter(({ role }) => role !== 'room.name' && role !== 'room.area')
    .map((mark): Mark => {
      const ring = cornersOf(boxOf(mark, LETTERING));
      return { kind: 'path', role: 'sheet.mask', key: `${mark.key} mask`, rings: [ring], closed: true };
    });
  return [...marks.filter((mark) => mark.kind !== 'text'), ...masks, ...texts];
}

/** Where the corners of the part of a picture that is shown lie, mm of the house. */
function cornersOfPicture({ shown: { left, top, width, height }, matrix: [a, b, c, d, x, y] }: PictureMark): Point[] {
  const at = (u: number, v: number) => ({ x: a * u + c * v + x, y: b * u + d * v + y });
  return [at(left, top), at(left + width, top), at(left, top + height), at(left + width, top + height)];
}

function planOf(plan: Plan, floor: Id, room: Id | null, scale: number, look: Content['look']): Drawn {
  const { units } = plan.job;
  const whole = deriveFloor(plan, floor);
  const derived = room === null ? whole : onlyRoom(whole, room);
  const lettering = LETTERING * scale;
  const own = lookOf(plan, look);
  // what is meant to be: the pieces of the option that was chosen, and what it alters
  const option = chosenOption(plan);
  const furnishing = piecesOfOption(plan.pieces, option);
  const pieces = room === null ? furnishing : piecesIn(furnishing, derived);
  const parts = drawFloorInParts(derived, {
    ...{ lettering, units, pieces, finishes: ofOption(plan.finishes, option) },
    ...own,
  });
  const altered =
    option === null || room !== null || own.without.has('walls') ? [] : drawAlterations(plan, whole, option, lettering);
  const drawn = [...withoutGone(parts, plan, option), ...altered].flatMap((part) => part.marks);
  const pictures = own.without.has('pictures') || room !== null ? [] : printedPictures(plan, floor);
  const isFloor = ({ role }: Mark) => role === 'floor';
  const marks = [...drawn.filter(isFloor), ...pictures, ...drawn.filter((mark) => !isFloor(mark))];
  const round = drawnBox(drawn, lettering);
  const corners = [
    ...(round
      ? [
          { x: round.minX, y: round.minY },
          { x: round.maxX, y: round.maxY },
        ]
      : []),
    ...pictures.flatMap(cornersOfPicture),
  ];
  const around = boxAround(corners) ?? { minX: 0, minY: 0, maxX: 0, maxY: 0 };
  const [wide, high] = [(around.maxX - around.minX) / scale, (around.maxY - around.minY) / scale];
  const name = room === null ? plan.floors[floor]?.name || 'A floor' : plan.rooms[room]?.name || 'A room';
  const caption = captionOf(name, scale, units, high);
  const width = Math.max(wide, caption.width);
  return {
    marks: [
      ...legible(
        onPaper(marks, { scale, from: { x: around.minX, y: around.minY }, to: { x: (width - wide) / 2, y: 0 } }),
      ),
      ...caption.marks,
    ],
    width,
    height: caption.bottom,
  };
}

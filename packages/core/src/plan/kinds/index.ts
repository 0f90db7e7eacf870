import type { Collection, Id } from '../values';
import { type Alteration, type AlterationEnd, alterationEndKind, alterationKind } from './alterations';
import { type Break, breakKind } from './breaks';
import { type Corner, cornerKind } from './corners';
import { type Finish, type Trim, finishKind, trimKind } from './finishes';
import { type Dimension, dimensionKind } from './dimensions';
import { type Floor, floorKind } from './floors';
import { type SheetFrame, frameKind } from './frames';
import { type GapReading, gapKind } from './gaps';
import { type HeightReading, heightKind } from './heights';
import type { CollectionName, Kind } from './kind';
import { type NamedLook, lookKind } from './looks';
import { type Annotation, annotationKind } from './annotations';
import { type OpeningType, openingTypeKind } from './opening-types';
import { type PlacedOpening, openingKind } from './openings';
import { type Option, optionKind } from './options';
import { type Piece, pieceKind } from './pieces';
import { type DimensionPoint, pointKind } from './points';
import { type Reading, readingKind } from './readings';
import { type Room, roomKind } from './rooms';
import { type Sheet, sheetKind } from './sheets';
import { type Slope, slopeKind } from './slopes';
import { type Solid, solidKind } from './solids';
import { type Stair, stairKind } from './stairs';
import { type TakenPicture, takenKind } from './taken';
import { type Underlay, underlayKind } from './underlays';
import { type Vantage, vantageKind } from './vantages';
import { type Wall, wallKind } from './walls';

export type { CollectionName, Kind, Move, OnWalls, Reference, Stand, Standing, Together } from './kind';

/** What each collection of a plan holds. */
export interface Entities {
  readonly floors: Floor;
  readonly corners: Corner;
  readonly walls: Wall;
  readonly types: OpeningType;
  readonly openings: PlacedOpening;
  readonly solids: Solid;
  readonly stairs: Stair;
  readonly rooms: Room;
  readonly slopes: Slope;
  readonly breaks: Break;
  readonly readings: Reading;
  readonly heights: HeightReading;
  readonly gaps: GapReading;
  readonly underlays: Underlay;
  readonly dimensions: Dimension;
  readonly points: DimensionPoint;
  readonly annotations: Annotation;
  readonly options: Option;
  readonly pieces: Piece;
  readonly alterations: Alteration;
  readonly alterationEnds: AlterationEnd;
  readonly finishes: Finish;
  readonly trims: Trim;
  readonly looks: NamedLook;
  readonly sheets: Sheet;
  readonly frames: SheetFrame;
  readonly vantages: Vantage;
  readonly taken: TakenPicture;
}

export type Collections = { readonly [C in CollectionName]: Collection<Entities[C]> };
export type Entity = Entities[CollectionName];

/** All kinds of things, in the order they are told: what is named before what names it, as far as that goes. */
export const KINDS: { readonly [C in CollectionName]: Kind<Entities[C], Collections> } = {
  floors: floorKind,
  corners: cornerKind,
  walls: wallKind,
  types: openingTypeKind,
  openings: openingKind,
  solids: solidKind,
  stairs: stairKind,
  rooms: roomKind,
  slopes: slopeKind,
  breaks: breakKind,
  readings: readingKind,
  heights: heightKind,
  gaps: gapKind,
  underlays: underlayKind,
  dimensions: dimensionKind,
  points: pointKind,
  annotations: annotationKind,
  options: optionKind,
  pieces: pieceKind,
  alterations: alterationKind,
  alterationEnds: alterationEndKind,
  finishes: finishKind as never,
  trims: trimKind,
  looks: lookKind,
  sheets: sheetKind,
  frames: frameKind,
  vantages: vantageKind,
  taken: takenKind,
};

export const COLLECTIONS = Object.keys(KINDS) as readonly CollectionName[];

/** The kind of a collection as of anything: for loops that know none by name. */
export const kindOf = (collection: CollectionName): Kind<Entity, Collections> =>
  KINDS[collection] as unknown as Kind<Entity, Collections>;

/** Is it on this floor, seen there, or of the whole house? */
export function isSeenOn(name: CollectionName, entity: Entity, plan: Collections, floor: Id): boolean {
  const { floorOf, reaches } = kindOf(name);
  return (floorOf(entity, plan) ?? floor) === floor || (reaches?.(entity, plan, floor) ?? false);
}

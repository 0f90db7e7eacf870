export { annotationsOn, drawNotes, drawnDimensions } from './draw-notes';
export { type DrawnDimension, lineOff } from './draw-dimension';
export { type Figure, type Laid, figureInWords, headingOf, laidOut, offBy } from './figures';
export { drawFloorHatches, drawWallHatches } from './hatches';
export { type PlacedPoint, dimensionsOn, placeOf } from './places';
export { type NewString, ROUND, stringsIn, stringsRound } from './strings';

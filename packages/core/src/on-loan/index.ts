/** All that the rooms in `later` take of the others: see “What comes later” in docs/architecture.md. */
export * from '../index';
export { edit } from '../edits/edit';
export { settle } from '../edits/settle';
export { takeAlong } from '../edits/take-along';
export { requireFace, requireFloor, requireName, requireNote, requireOne, requirePositive } from '../edits/require';
export { hatch } from '../drawing/hatch';
export { drawOpening } from '../drawing/openings';
export { heal } from '../edits/heal';
export { dropWithAll } from '../plan/footing';
export { ofStep } from '../stairs/words';
export { requireHeadroom } from '../edits/require-headroom';
export { requireRoom } from '../edits/rooms';
export { measuredAgain, putReading } from '../edits/readings';
export { standOn } from '../edits/solids';
export { capital } from '../words';

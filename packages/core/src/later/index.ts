/** The rooms that a client may bring in later than the others: not every plan, and not its first view, wants them. */
export * from '../drawing/section';
export * from '../edits/later';
export * from '../finishes';
export * from '../notes';
export * from '../options';
export * from '../pieces';
export * from '../stairs/checks';
export { vantageAt } from '../vantages/draw-on-plan';

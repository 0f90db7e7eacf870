/** All that draws in space, in one piece: what two pieces share would be in the first page. */
export { ViewsPart } from './ViewsPart';
export { BesideThePlan } from './beside/BesideThePlan';

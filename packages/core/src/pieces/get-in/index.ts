export { getIn } from './get-in';
export { type Pose, between, outlineAt, rectangleAt } from './poses';
export { CARRIED, type CarriedHow, type GetInAnswer, type GetInQuestion, type Leg } from './question';
export { Stopped, routeFor } from './route';
export { placesFor } from './slices';
export { whereFree } from './where-free';

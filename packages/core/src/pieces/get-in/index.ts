export {
  CARRIED,
  type CarriedHow,
  type GetInAnswer,
  type GetInQuestion,
  type Leg,
  Stopped,
  between,
  getIn,
} from './get-in';
export { type Pose, routeFor } from './route';
export { placesFor, rectangleAt } from './slices';
export { whereFree } from './where-free';

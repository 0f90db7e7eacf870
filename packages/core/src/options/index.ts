export { type OptionFigures, figuresOf, planOfOption, storageOf } from './compare';
export { drawAlterations, goneOpenings, withoutGone } from './draw-alterations';
export { type OptionHouse, chosenOption, houseOfOption, piecesOfOption } from './with-option';

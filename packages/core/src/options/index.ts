export { type OptionFigures, figuresOf, planOfOption, storageOf } from './compare';
export { drawAlterations } from './draw-alterations';
export { type OptionHouse, houseOfOption, piecesOfOption } from './with-option';

export { type Page, type PageFrame, type Written, composeSheet, framesOf } from './compose';
export { type Enclosed, coverPage } from './cover';
export { LETTERING } from './paper-marks';
export { SCALES, pageSize, scaleInWords } from './papers';
export { SHEET_SETS, type SheetSet, layOut, onOtherPage, partFor, scalesFor, withoutStrings } from './sets';
export { partsOfPage } from './title-block';

export { isSheetKind, SHEET_KINDS, type SheetKind } from './fields.js';
export { readSheet } from './readSheet.js';
export type { Told } from './reading.js';
export { keyOf, takeInto } from './takeInto.js';

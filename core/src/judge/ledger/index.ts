export * from './massOf.js';
export * from './stageMass.js';
export * from './supplyLedger.js';
export * from './ledger.js';
export * from './eventRungs.js';
export * from './robotRung.js';

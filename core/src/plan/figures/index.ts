export * from './clash.js';
export * from './collector.js';
export * from './figure.js';
export * from './table.js';

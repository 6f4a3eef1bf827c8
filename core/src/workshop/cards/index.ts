export * from './boardCard.js';
export * from './card.js';
export * from './cardsOf.js';
export * from './controllerCard.js';
export * from './driverCard.js';
export * from './servoCard.js';
export * from './railCard.js';

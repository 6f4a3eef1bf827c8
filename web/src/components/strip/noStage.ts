/** The link of a train that has no stage: where the first is added. */
export const NO_STAGE = 'reduction';

import type { Attack } from './attack.js';
import { copies } from './copies.js';
import { crowd } from './crowd.js';
import { sheets } from './csv.js';
import { devices } from './devices.js';
import { flood } from './flood.js';
import { fullDisk } from './fullDisk.js';
import { plans } from './fuzz.js';
import { kill } from './kill.js';
import { slow, strangers } from './network.js';
import { parsers } from './parsers.js';
import { tabs } from './tabs.js';
import { fleet, writers } from './writers.js';

/** Every attack, in the order in which they are made. */
export const ATTACKS: readonly Attack[] = [
  kill,
  copies,
  fullDisk,
  writers,
  tabs,
  devices,
  crowd,
  fleet,
  plans,
  sheets,
  parsers,
  flood,
  strangers,
  slow,
];

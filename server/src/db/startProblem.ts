/** Why the program does not start: one line, with what to do. It ends with code 2. */
export class StartProblem extends Error {}

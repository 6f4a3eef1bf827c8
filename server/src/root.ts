/** The project's folder: two above this file, as source in `server/src` and built in `server/dist` alike. */
export const root = new URL('../../', import.meta.url);

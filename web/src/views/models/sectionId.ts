/** Place of a heading on the page: "Motor heat (`motor/heat`)" is motor-heat. */
export const sectionId = (heading: string): string =>
  heading
    .replace(/\(.*/, '')
    .replace(/`/g, '')
    .trim()
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-');

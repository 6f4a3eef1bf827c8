/** Place of a heading on the page: "Motor heat" is motor-heat, as any reader of the file has it. */
export const sectionId = (heading: string): string =>
  heading
    .trim()
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-');

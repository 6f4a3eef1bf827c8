const UNITS = ['bytes', 'kB', 'MB', 'GB', 'TB'] as const;

/** A number of bytes as a person reads it: "1.2 MB". */
export function bytesText(bytes: number): string {
  const power = Math.min(UNITS.length - 1, Math.floor(Math.log10(Math.max(1, bytes)) / 3));
  const value = bytes / 1000 ** power;
  return `${power === 0 || value >= 100 ? Math.round(value) : Number(value.toPrecision(2))} ${UNITS[power]}`;
}

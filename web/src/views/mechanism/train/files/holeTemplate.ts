import { digits, holesOf, type Hole, type Layout } from '@rough-gear/core';
import { PDFDocument, rgb, StandardFonts, type PDFFont, type PDFPage } from 'pdf-lib';

/** Points to the millimetre. */
const PT = 72 / 25.4;
/** A4 upright, and what a printer surely reaches of it. */
const SHEET = { width: 210, height: 297 };
const MARGIN = 12;
const FOOT = 26;
const ROOM = { width: SHEET.width - 2 * MARGIN, height: SHEET.height - 2 * MARGIN - FOOT };
const CHECK = 100;
const INK = rgb(0.14, 0.13, 0.11);

interface Drawn {
  readonly page: PDFPage;
  readonly font: PDFFont;
}

/**
 * Every hole at 1:1, on as many A4 sheets as it takes, with a check line of 100 mm on each: a printer that scales
 * is found out before the drill is.
 */
export async function holeTemplate(layout: Layout, name: string): Promise<{ bytes: Uint8Array; pages: number }> {
  const document = await PDFDocument.create();
  document.setTitle(`${name}: hole template`);
  const font = await document.embedFont(StandardFonts.Helvetica);
  const holes = holesOf(layout);
  const [left, bottom] = [least(holes, ({ x, radius }) => x - radius), least(holes, ({ y, radius }) => y - radius)];
  const [right, top] = [-least(holes, ({ x, radius }) => -x - radius), -least(holes, ({ y, radius }) => -y - radius)];
  const CROSS = 8;
  const columns = Math.max(1, Math.ceil((1000 * (right - left) + 2 * CROSS) / ROOM.width));
  const rows = Math.max(1, Math.ceil((1000 * (top - bottom) + 2 * CROSS) / ROOM.height));
  for (let row = 0; row < rows; row++) {
    for (let column = 0; column < columns; column++) {
      const page = document.addPage([SHEET.width * PT, SHEET.height * PT]);
      const sheet = { page, font };
      // Millimetres on this sheet for metres of the layout.
      const x = (metres: number) => MARGIN + CROSS + 1000 * (metres - left) - column * ROOM.width;
      const y = (metres: number) => MARGIN + FOOT + CROSS + 1000 * (metres - bottom) - row * ROOM.height;
      holes.forEach((hole, i) => drawHole(sheet, hole, i, x(hole.x), y(hole.y)));
      foot(sheet, name, row * columns + column + 1, rows * columns);
    }
  }
  return { bytes: await document.save(), pages: rows * columns };
}

const least = (holes: readonly Hole[], of: (hole: Hole) => number): number => Math.min(...holes.map(of));

function line({ page }: Drawn, x1: number, y1: number, x2: number, y2: number, thickness = 0.4): void {
  page.drawLine({ start: { x: x1 * PT, y: y1 * PT }, end: { x: x2 * PT, y: y2 * PT }, thickness, color: INK });
}

function drawHole(sheet: Drawn, { x, y, radius }: Hole, i: number, atX: number, atY: number): void {
  const { page, font } = sheet;
  const mark = Math.max(6, 1000 * radius + 3);
  page.drawCircle({ x: atX * PT, y: atY * PT, size: 1000 * radius * PT, borderWidth: 0.5, borderColor: INK });
  line(sheet, atX - mark, atY, atX + mark, atY);
  line(sheet, atX, atY - mark, atX, atY + mark);
  const text = `${i === 0 ? 'motor' : `shaft ${i + 1}`}  d ${digits(2000 * radius)}  (${(1000 * x).toFixed(2)}, ${(1000 * y).toFixed(2)})`;
  page.drawText(text, { x: (atX + mark + 1) * PT, y: (atY + 1.5) * PT, size: 7, font, color: INK });
}

function foot(sheet: Drawn, name: string, number: number, of: number): void {
  const { page, font } = sheet;
  line(sheet, MARGIN, MARGIN + 8, MARGIN + CHECK, MARGIN + 8, 0.6);
  for (const end of [MARGIN, MARGIN + CHECK]) line(sheet, end, MARGIN + 5, end, MARGIN + 11, 0.6);
  const text = (words: string, x: number, y: number, size = 8) =>
    page.drawText(latin(words), { x: x * PT, y: y * PT, size, font, color: INK });
  text('This line is 100 mm. If it is not, print again at 100 %, without fitting to the page.', MARGIN, MARGIN + 13);
  text(`${name}: hole template 1:1, millimetres from the motor shaft. Sheet ${number} of ${of}`, MARGIN, MARGIN + 1);
  // Corners of what this sheet shows, to lay the next one against.
  const [right, top] = [MARGIN + ROOM.width, MARGIN + FOOT + ROOM.height];
  for (const [x, y, dx, dy] of [
    [MARGIN, MARGIN + FOOT, 1, 1],
    [right, MARGIN + FOOT, -1, 1],
    [MARGIN, top, 1, -1],
    [right, top, -1, -1],
  ] as const) {
    line(sheet, x, y, x + 5 * dx, y);
    line(sheet, x, y, x, y + 5 * dy);
  }
}

/** The standard faces know Latin letters only. */
const latin = (text: string): string => text.replace(/[^\x20-\x7e\xa0-\xff]/g, '?');

import { digits, fewestSheets, plateHoles, sheetsFor, turned, type Hole, type Layout } from '@rough-gear/core';
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

const CROSS = 8;

/**
 * Every hole at 1:1, shafts, bearings and the motor's screws, turned so that it takes the fewest A4 sheets, with a check line
 * of 100 mm on each: a printer that scales is found out before the drill is.
 *
 * @param mount pattern of the motor's own holes, in the words of its drawing
 */
export async function holeTemplate(
  layout: Layout,
  name: string,
  mount?: string,
): Promise<{ bytes: Uint8Array; pages: number; angle: number }> {
  const document = await PDFDocument.create();
  document.setTitle(`${name}: hole template`);
  const font = await document.embedFont(StandardFonts.Helvetica);
  const asBuilt = plateHoles(layout, mount);
  const room = { width: ROOM.width / 1000, height: ROOM.height / 1000 };
  const angle = fewestSheets(asBuilt, room, CROSS / 1000);
  const holes = turned(asBuilt, angle);
  const { left, bottom, used } = sheetsFor(holes, room, CROSS / 1000);
  used.forEach(({ column, row }, sheetNumber) => {
    const page = document.addPage([SHEET.width * PT, SHEET.height * PT]);
    const sheet = { page, font };
    // Millimetres on this sheet for metres of the layout.
    const x = (metres: number) => MARGIN + 1000 * (metres - left) - column * ROOM.width;
    const y = (metres: number) => MARGIN + FOOT + 1000 * (metres - bottom) - row * ROOM.height;
    holes.forEach((hole, i) => drawHole(sheet, hole, asBuilt[i]!, i, x(hole.x), y(hole.y)));
    foot(sheet, name, { number: sheetNumber + 1, of: used.length, column, row, angle });
  });
  return { bytes: await document.save(), pages: used.length, angle };
}

function line({ page }: Drawn, x1: number, y1: number, x2: number, y2: number, thickness = 0.4): void {
  page.drawLine({ start: { x: x1 * PT, y: y1 * PT }, end: { x: x2 * PT, y: y2 * PT }, thickness, color: INK });
}

/** A hole with its cross; told by its diameter and where it is as built, before the sheet was turned. */
function drawHole(sheet: Drawn, { radius, use }: Hole, { x, y }: Hole, i: number, atX: number, atY: number): void {
  const { page, font } = sheet;
  const mark = Math.max(6, 1000 * radius + 3);
  page.drawCircle({ x: atX * PT, y: atY * PT, size: 1000 * radius * PT, borderWidth: 0.5, borderColor: INK });
  line(sheet, atX - mark, atY, atX + mark, atY);
  line(sheet, atX, atY - mark, atX, atY + mark);
  const what = use === 'motor shaft' ? 'motor' : use === 'shaft' ? `shaft ${i + 1}` : use;
  const text = `${what}  d ${digits(2000 * radius)}  (${(1000 * x).toFixed(2)}, ${(1000 * y).toFixed(2)})`;
  // A bearing lies round its shaft: its words stand under the shaft's.
  const below = use === 'bearing' ? -4 : 1.5;
  page.drawText(text, { x: (atX + mark + 1) * PT, y: (atY + below) * PT, size: 7, font, color: INK });
}

interface SheetPlace {
  readonly number: number;
  readonly of: number;
  readonly column: number;
  readonly row: number;
  readonly angle: number;
}

function foot(sheet: Drawn, name: string, { number, of, column, row, angle }: SheetPlace): void {
  const { page, font } = sheet;
  line(sheet, MARGIN, MARGIN + 8, MARGIN + CHECK, MARGIN + 8, 0.6);
  for (const end of [MARGIN, MARGIN + CHECK]) line(sheet, end, MARGIN + 5, end, MARGIN + 11, 0.6);
  const text = (words: string, x: number, y: number, size = 8) =>
    page.drawText(latin(words), { x: x * PT, y: y * PT, size, font, color: INK });
  text('This line is 100 mm. If it is not, print again at 100 %, without fitting to the page.', MARGIN, MARGIN + 13);
  const place = of > 1 ? `, column ${column + 1} from the left, row ${row + 1} from below` : '';
  const turn = angle === 0 ? '' : ` Turned by ${Math.round((angle * 180) / Math.PI)} degrees to save paper.`;
  text(
    `${name}: hole template 1:1, millimetres from the motor shaft as built. Sheet ${number} of ${of}${place}.${turn}`,
    MARGIN,
    MARGIN + 1,
  );
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

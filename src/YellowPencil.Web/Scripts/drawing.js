// Draws an item on squared paper while it is typed, in the squares and with the classes that the server uses (Drawing/SquarePaper.cs; a test compares
// both). Columns count from the right, rows from the top. Rows of work in which nothing stands are left out until the hand has been there.
import { answerStrip, stripOf } from "./working.js";

const SQUARE = 28;
const SQUARE_REM = 1.75;

const escape = (text) => String(text).replace(/[&<>"]/g, (c) => ({ "&": "&amp;", "<": "&lt;", ">": "&gt;", '"': "&quot;" })[c]);
const line = (css, x1, y1, x2, y2) => `<line class="${css}" x1="${x1}" y1="${y1}" x2="${x2}" y2="${y2}"/>`;
const write = (css, x, y, text) => `<text class="${css}" x="${x}" y="${y}">${escape(text)}</text>`;
const inPrint = (text) => text.replace("-", "−").replace("*", "×").replace("/", "÷");

/** The rows that are shown, from the top; those where the hand has been stay. */
export function rowsShown(item, caret) {
  const rows = item.shown ??= startRows(item);
  for (const strip of item.strips) if (item.squares.get(strip.id)?.size > 0 || item.moved.get(strip.id)) rows.add(strip.row);
  if (caret) rows.add(stripOf(item, caret.strip).row);
  return [...rows].sort((a, b) => a - b);
}

// What is always there, and room for two rows of marks over the numbers.
function startRows(item) {
  const set = item.prints.filter(([, , text]) => text.length <= 2).map(([row]) => row);
  const rows = new Set([...set, ...item.strips.filter((strip) => !strip.work).map((strip) => strip.row)]);
  const first = Math.min(...rows);
  for (const row of [first - 1, first - 2]) if (row >= 0) rows.add(row);
  return rows;
}

export function columnsShown(item) {
  return Math.max(item.columns, ...[...item.squares.values()].flatMap((squares) => [...squares.keys()].map((column) => column + 1)));
}

/** The item as SVG. `caret`, where the hand is here: strip, column, `after` for behind the last digit, and the direction. */
export function draw(item, caret) {
  const rows = rowsShown(item, caret), columns = columnsShown(item);
  const width = columns * SQUARE, height = rows.length * SQUARE;
  const x = (column) => (columns - 1 - column + 0.5) * SQUARE;
  const top = (row) => rows.indexOf(row) * SQUARE;
  const y = (row) => top(row) + SQUARE / 2;
  const isShown = (row) => rows.includes(row);
  const sign = (css, text, column, row, lower = 0) => {
    if (!isShown(row)) return "";
    const beside = text.length > 1 && text.endsWith(".");
    return (text === "." ? "" : write(css, x(column), y(row) + lower, inPrint(beside ? text.slice(0, -1) : text)))
      + (text === "." || beside ? write(`${css} point`, x(column) + SQUARE / 2, y(row) + lower, ".") : "");
  };
  let svg = `<svg class="working" viewBox="0 0 ${width} ${height}" width="${columns * SQUARE_REM}rem" height="${rows.length * SQUARE_REM}rem" aria-hidden="true">`;
  if (caret) svg += caretAt(caret, stripOf(item, caret.strip), x, top);
  for (const [row, column, text] of item.prints) {
    if (text.length > 2) svg += isShown(row) ? write("print word", x(column) - SQUARE / 2 + 2, y(row), text) : "";
    else svg += sign("print", text, column, row);
  }
  for (const [from0, from, to, down, until] of item.lines) {
    const row = rows.find((shown) => shown >= from0 && shown <= until);
    if (row === undefined) continue;
    svg += down ? line("rule", (columns - to) * SQUARE, top(row), (columns - to) * SQUARE, top(from) + SQUARE) : line("rule", (columns - 1 - to) * SQUARE + 4, top(row), (columns - from) * SQUARE - 4, top(row));
  }
  for (const strip of item.strips) {
    for (const [row, column, text] of strip.given ?? []) svg += sign("print", text, column + (item.moved.get(strip.id) ?? 0), row);
    for (const [column, text] of item.squares.get(strip.id) ?? []) {
      svg += sign(strip.small ? "hand small" : text.replace(/\.$/, "").length > 1 ? "hand tight" : "hand", text, column, strip.row, strip.small ? 4 : 0);
      if (strip.strikes === undefined || !isShown(strip.strikes)) continue;
      const struck = y(strip.strikes) + (item.strips.some((other) => other.row === strip.strikes && other.small) ? 4 : 0);
      svg += line("strike", x(column) - 9, struck + 10, x(column) + 9, struck - 10);
    }
  }
  const answer = answerStrip(item);
  if (item.unreadable) svg += write("hand", x(answer.ones), y(answer.row), "?");
  return `${svg}</svg>`;
}

// The square under the hand, and an arrow on its edge towards which the next digit goes.
function caretAt(caret, strip, x, top) {
  const left = x(caret.column) - SQUARE / 2, up = top(strip.row), right = left + SQUARE;
  const box = caret.after
    ? `<rect class="caret" x="${right - 5}" y="${up + 1}" width="5" height="${SQUARE - 2}"/>`
    : `<rect class="caret" x="${left + 1}" y="${up + 1}" width="${SQUARE - 2}" height="${SQUARE - 2}"/>`;
  if (strip.small) return box;
  const middle = up + SQUARE / 2;
  const arrow = caret.fromLeft || strip.fromLeft ? `M${right + 3} ${middle - 5}l6 5l-6 5z` : `M${left - 3} ${middle - 5}l-6 5l6 5z`;
  return `${box}<path class="way" d="${arrow}"/>`;
}

/** The strip and column under a point of the drawing, both as shares of its width and height: of a printed digit, where it would be struck out. */
export function squareAt(item, across, down) {
  const rows = rowsShown(item, null), columns = columnsShown(item);
  const row = rows[Math.min(rows.length - 1, Math.max(0, Math.floor(down * rows.length)))];
  const column = Math.max(0, columns - 1 - Math.floor(across * columns));
  const inReach = (strip) => column >= strip.right && column <= strip.left;
  const strip = item.strips.find((s) => s.row === row && (inReach(s) || s === answerStrip(item)))
    ?? item.strips.find((s) => s.strikes === row && inReach(s) && !s.rare) ?? answerStrip(item);
  return { strip: strip.id, column };
}

// Draws a column difference while it is typed, in the squares and with the classes that the server uses (Drawing/ColumnPicture.cs).
// An item keeps its size while it is typed: it has room for the longest answer and two rows of marks from the start.
const SQUARE = 28;
const SQUARE_REM = 1.75;
const ROWS_ABOVE = 2;

const escape = (text) => String(text).replace(/[&<>"]/g, (c) => ({ "&": "&amp;", "<": "&lt;", ">": "&gt;", '"': "&quot;" })[c]);
const line = (css, x1, y1, x2, y2) => `<line class="${css}" x1="${x1}" y1="${y1}" x2="${x2}" y2="${y2}"/>`;
const write = (css, x, y, text) => `<text class="${css}" x="${x}" y="${y}">${escape(text)}</text>`;

export function layout(item) {
  const columns = Math.max(item.top.length + 1, item.bottom.length + 1, ...[...item.cells.keys()].map((p) => p + 1));
  const above = Math.max(ROWS_ABOVE, ...[...item.rewritten.values()].map((marks) => marks.length));
  return { columns, above, rows: above + 3 };
}

/** The item as SVG. `caret`, where the hand is here: row, place, `fresh` for a further mark, `after` for behind the last digit, and the direction. */
export function draw(item, caret) {
  const { columns, above, rows } = layout(item);
  const width = columns * SQUARE, height = rows * SQUARE;
  const x = (place) => (columns - 1 - place + 0.5) * SQUARE;
  const y = (row) => (row + 0.5) * SQUARE;
  const strike = (sx, sy) => line("strike", sx - 9, sy + 10, sx + 9, sy - 10);
  const top = above, bottom = above + 1, answer = above + 2;
  let svg = `<svg class="working" viewBox="0 0 ${width} ${height}" width="${columns * SQUARE_REM}rem" height="${rows * SQUARE_REM}rem" aria-hidden="true">`;
  if (caret) svg += caretAt(caret, item, x, { top, answer });
  const digits = (text, row, struck) => {
    [...text].reverse().forEach((digit, place) => {
      svg += write("print", x(place), y(row), digit);
      if (struck.has(place)) svg += strike(x(place), y(row));
    });
  };
  digits(item.top, top, item.rewritten);
  digits(item.bottom, bottom, new Map());
  svg += write("print", x(columns - 1), y(bottom), "−");
  for (const [place, marks] of item.rewritten)
    marks.forEach((mark, i) => {
      svg += write("hand small", x(place), y(top - 1 - i) + 4, mark);
      if (i < marks.length - 1) svg += strike(x(place), y(top - 1 - i) + 4);
    });
  svg += line("rule", 4, answer * SQUARE, width - 4, answer * SQUARE);
  if (item.unreadable) svg += write("hand", x(0), y(answer), "?");
  for (const [place, text] of item.cells) svg += write(text.length > 1 ? "hand tight" : "hand", x(place), y(answer), text);
  return `${svg}</svg>`;
}

// The square under the hand, and an arrow on its edge towards which the next digit goes.
function caretAt(caret, item, x, { top, answer }) {
  const row = caret.row === "answer" ? answer : Math.max(0, top - Math.max(1, (item.rewritten.get(caret.place) ?? []).length + (caret.fresh ? 1 : 0)));
  const left = x(caret.place) - SQUARE / 2, up = row * SQUARE, right = left + SQUARE;
  const box = caret.row === "answer" && caret.after
    ? `<rect class="caret" x="${right - 5}" y="${up + 1}" width="5" height="${SQUARE - 2}"/>`
    : `<rect class="caret" x="${left + 1}" y="${up + 1}" width="${SQUARE - 2}" height="${SQUARE - 2}"/>`;
  if (caret.row !== "answer") return box;
  const middle = up + SQUARE / 2;
  const arrow = caret.fromLeft ? `M${right + 3} ${middle - 5}l6 5l-6 5z` : `M${left - 3} ${middle - 5}l-6 5l6 5z`;
  return `${box}<path class="way" d="${arrow}"/>`;
}

/** The row and place under a point of the drawing, both as shares of its width and height. */
export function squareAt(item, across, down) {
  const { columns, above, rows } = layout(item);
  const place = columns - 1 - Math.floor(across * columns);
  return { row: Math.floor(down * rows) <= above ? "top" : "answer", place: Math.max(0, Math.min(place, columns - 1)) };
}

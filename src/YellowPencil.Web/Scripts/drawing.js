// Draws a column difference while it is typed, in the squares and with the classes that the server uses (Drawing/ColumnPicture.cs).
const SQUARE = 28;

const escape = (text) => String(text).replace(/[&<>"]/g, (c) => ({ "&": "&amp;", "<": "&lt;", ">": "&gt;", '"': "&quot;" })[c]);
const line = (css, x1, y1, x2, y2) => `<line class="${css}" x1="${x1}" y1="${y1}" x2="${x2}" y2="${y2}"/>`;
const write = (css, x, y, text) => `<text class="${css}" x="${x}" y="${y}">${escape(text)}</text>`;

export function layout(item) {
  const places = [...item.cells.keys(), ...item.rewritten.keys()];
  const columns = Math.max(item.top.length, item.bottom.length, ...places.map((p) => p + 1), item.caretPlace + 1) + 1;
  const above = Math.max(1, ...[...item.rewritten.values()].map((marks) => marks.length + (item.openMark ? 1 : 0)));
  return { columns, above, rows: above + 3 };
}

export function draw(item, caret) {
  const { columns, above, rows } = layout({ ...item, caretPlace: caret ? caret.place : 0 });
  const width = columns * SQUARE, height = rows * SQUARE;
  const x = (place) => (columns - 1 - place + 0.5) * SQUARE;
  const y = (row) => (row + 0.5) * SQUARE;
  const strike = (sx, sy) => line("strike", sx - 9, sy + 10, sx + 9, sy - 10);
  const top = above, bottom = above + 1, answer = above + 2;
  let svg = `<svg class="working" viewBox="0 0 ${width} ${height}" width="${width}" height="${height}" aria-hidden="true">`;
  if (caret) {
    const row = caret.row === "answer" ? answer : Math.max(0, top - Math.max(1, (item.rewritten.get(caret.place) ?? []).length + (caret.fresh ? 1 : 0)));
    svg += `<rect class="caret" x="${x(caret.place) - SQUARE / 2}" y="${row * SQUARE}" width="${SQUARE}" height="${SQUARE}"/>`;
  }
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

/** The row and place under a point of the drawing. */
export function squareAt(item, offsetX, offsetY) {
  const { columns, above } = layout({ ...item, caretPlace: 0 });
  const place = columns - 1 - Math.floor(offsetX / SQUARE);
  return { row: Math.floor(offsetY / SQUARE) <= above ? "top" : "answer", place: Math.max(0, place) };
}

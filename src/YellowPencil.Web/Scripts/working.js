// What stands in one item while it is typed: in squares by strip and column from the right, with numbers that were moved, or "cannot be read"; or in lines.
import { filled, isLines, isRead } from "./lines.js";

/** The item as the server gives it out. */
export function open(set) {
  return isLines(set) ? { ...set, texts: [...set.texts], cells: { ...set.cells } }
    : { ...set, squares: mapped(set.squares), moved: new Map(Object.entries(set.moved)), struck: [...(set.struck ?? [])], cells: { ...set.cells } };
}

const mapped = (squares) => new Map(Object.entries(squares).map(([strip, columns]) => [strip, new Map(Object.entries(columns).map(([column, text]) => [Number(column), text]))]));

export const stripOf = (item, id) => item.strips.find((strip) => strip.id === id);
export const answerStrip = (item) => item.strips.find((strip) => strip.kind === "Answer");

/** What stands in a strip; made where nothing does yet. */
export function squaresOf(item, id) {
  if (!item.squares.has(id)) item.squares.set(id, new Map());
  return item.squares.get(id);
}

/** The text of a strip from the left; null where nothing is written. */
export function textOf(item, id, gap = "") {
  const squares = item.squares.get(id);
  if (!squares || squares.size === 0) return null;
  const first = Math.max(...squares.keys()), last = Math.min(...squares.keys());
  let text = "";
  for (let column = first; column >= last; column--) text += squares.get(column) ?? gap;
  return text;
}

/** The answer as it reads, or null where nothing is written. */
export const answerOf = (item) => (isLines(item) ? filled(item).filter(isRead).at(-1) ?? null : item.unreadable ? "?" : textOf(item, answerStrip(item).id));

/** The item as it is sent and kept. */
export function written(item) {
  const cells = Object.fromEntries(Object.entries(item.cells).filter(([, text]) => text.trim() !== ""));
  if (isLines(item)) return { lines: filled(item), cells };
  const squares = [...item.squares].filter(([, columns]) => columns.size > 0).map(([strip, columns]) => [strip, Object.fromEntries(columns)]);
  return { squares: Object.fromEntries(squares), moved: Object.fromEntries([...item.moved].filter(([, by]) => by !== 0)), unreadable: item.unreadable, struck: item.struck, ...(item.beside.length > 0 ? { cells } : {}) };
}

/** Puts back what was kept in this browser and had not reached the server. */
export function take(item, { lines, cells, squares, moved, unreadable, struck }) {
  item.cells = { ...cells };
  if (isLines(item)) {
    item.texts = [...lines];
    return;
  }
  item.squares = mapped(squares ?? {});
  item.moved = new Map(Object.entries(moved ?? {}));
  item.unreadable = unreadable === true;
  item.struck = struck ?? [];
}

/** Whether what was kept is of the kind of which the item is. */
export const isOfKind = (item, before) => (isLines(item) ? Array.isArray(before.lines) : before.squares !== undefined);

export const isOpen = (item) => answerOf(item) === null;

export const copy = (item) => (isLines(item) ? { texts: [...item.texts], cells: { ...item.cells } } : { squares: [...item.squares].map(([strip, columns]) => [strip, [...columns]]), moved: [...item.moved], unreadable: item.unreadable, struck: [...item.struck], cells: { ...item.cells } });

export function restore(item, before) {
  item.cells = { ...before.cells };
  if (isLines(item)) {
    item.texts = [...before.texts];
    return;
  }
  item.squares = new Map(before.squares.map(([strip, columns]) => [strip, new Map(columns)]));
  item.moved = new Map(before.moved);
  item.unreadable = before.unreadable;
  item.struck = [...before.struck];
}

/** Moves what stands in a strip, from a column on to the left, by so many columns. */
export function shift(item, id, columns, from = -Infinity) {
  const moved = [...squaresOf(item, id)].map(([column, text]) => [column >= from ? column + columns : column, text]);
  item.squares.set(id, new Map(moved.filter(([column]) => column >= 0)));
}

/** The answer read from the other side, square by square. */
export function turnRound(item) {
  const { id } = answerStrip(item), squares = squaresOf(item, id);
  const last = Math.max(-1, ...squares.keys()), first = Math.min(...squares.keys());
  item.squares.set(id, new Map([...squares].map(([column, text]) => [last + first - column, [...text].reverse().join("")])));
}

/** Strikes the answer out, so that another can be written; where none stands, takes back what was struck out last. What was done, in a sentence. */
export function strikeAnswer(item) {
  const strip = answerStrip(item), text = item.unreadable ? "?" : textOf(item, strip.id, strip.signs?.includes("/") ? " " : "");
  if (text === null) return item.struck.length > 0 ? `${item.struck.pop()} is taken away: it is not struck out any more.` : "Write what is struck out first, then strike it.";
  item.struck.push(text);
  squaresOf(item, strip.id).clear();
  item.unreadable = false;
  return `${text} is struck out; the answer is open.`;
}

/** What a screen reader says of the marks beside the answer. */
export function marksSpoken(item) {
  const struck = item.strips.filter((strip) => strip.strikes !== undefined);
  const columns = [...new Set(struck.flatMap((strip) => [...(item.squares.get(strip.id)?.keys() ?? [])]))].sort((a, b) => b - a);
  const told = columns.map((column) => {
    const strips = struck.filter((strip) => item.squares.get(strip.id)?.has(column)).reverse().sort((a, b) => b.row - a.row);
    const marks = strips.map((strip) => item.squares.get(strip.id).get(column));
    const digit = item.prints.find(([row, at]) => row === strips[0].strikes && at === column)?.[2] ?? "a digit";
    return `${[digit, ...marks.slice(0, -1)].map((text) => `${text} struck out`).join(", ")}, ${marks[marks.length - 1]} above`;
  });
  for (const strip of item.strips) {
    const text = strip.kind === "Answer" || strip.strikes !== undefined ? null : textOf(item, strip.id, " ");
    if (text !== null) told.push(`${strip.name} ${text}`);
  }
  if (item.struck.length > 0) told.push(`struck out ${item.struck.join(", then ")}`);
  return told.join("; ");
}

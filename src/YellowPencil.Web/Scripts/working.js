// What stands under one item while it is typed: digits by place, new values over struck-out digits, or "cannot be read".

/** The item as the server gives it out. */
export function open(set) {
  return {
    id: set.id, top: set.top, bottom: set.bottom, version: set.version, unreadable: set.answer === "?", recorded: set.recorded,
    cells: new Map(Object.entries(set.cells).map(([place, text]) => [Number(place), text])),
    rewritten: new Map(Object.entries(set.rewritten).map(([place, marks]) => [Number(place), marks])),
  };
}

const descending = (item) => [...item.cells.keys()].sort((a, b) => b - a);

/** The answer as it reads, or null where nothing is written. */
export function answerOf(item) {
  const places = descending(item);
  return item.unreadable ? "?" : places.length === 0 ? null : places.map((place) => item.cells.get(place)).join("");
}

/** The item as the format has it: answer, and the fields beside it that are typed here; null erases one, an empty one says that no mark was made. */
export function written(item) {
  const places = descending(item);
  const plain = places.every((place, i) => item.cells.get(place).length === 1 && place === places.length - 1 - i);
  const cells = plain ? null : Object.fromEntries(places.map((place) => [place, item.cells.get(place)]));
  const marks = Object.fromEntries([...item.rewritten].map(([place, marks]) => [place, marks.length === 1 ? marks[0] : marks]));
  return { answer: answerOf(item), work: { cells, rewritten: item.rewritten.size > 0 || item.recorded ? marks : null } };
}

/** Puts back what was kept in this browser and had not reached the server. */
export function take(item, { answer, work }) {
  item.unreadable = answer === "?";
  item.cells.clear();
  item.rewritten.clear();
  const cells = work.cells ?? (answer === null || answer === "?" ? {} : Object.fromEntries([...answer].reverse().map((digit, place) => [place, digit])));
  for (const [place, text] of Object.entries(cells)) item.cells.set(Number(place), text);
  for (const [place, marks] of Object.entries(work.rewritten ?? {})) item.rewritten.set(Number(place), [].concat(marks));
}

export const isOpen = (item) => item.cells.size === 0 && !item.unreadable;

export const copy = (item) => ({ cells: [...item.cells], rewritten: [...item.rewritten].map(([place, marks]) => [place, [...marks]]), unreadable: item.unreadable });

export function restore(item, before) {
  item.cells = new Map(before.cells);
  item.rewritten = new Map(before.rewritten.map(([place, marks]) => [place, [...marks]]));
  item.unreadable = before.unreadable;
}

/** Moves all digits by so many places. */
export function shift(item, places) {
  item.cells = new Map([...item.cells].map(([place, text]) => [place + places, text]).filter(([place]) => place >= 0));
}

/** The answer read from the other side, square by square. */
export function turnRound(item) {
  const last = Math.max(-1, ...item.cells.keys());
  item.cells = new Map([...item.cells].map(([place, text]) => [last - place, [...text].reverse().join("")]));
}

/** What a screen reader says of the strike-outs. */
export function marksSpoken(item) {
  const places = [...item.rewritten.keys()].sort((a, b) => b - a);
  return places.map((place) => {
    const marks = item.rewritten.get(place), digit = item.top[item.top.length - 1 - place];
    return `${[digit, ...marks.slice(0, -1)].map((text) => `${text} struck out`).join(", ")}, ${marks[marks.length - 1]} above`;
  }).join("; ");
}

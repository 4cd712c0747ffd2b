// Typing in a page on squared paper, by keyboard alone. Each change is kept in the browser, drawn, and sent.
import { draw, squareAt } from "./drawing.js";
import { Outbox } from "./outbox.js";

const PLACES = ["ones", "tens", "hundreds", "thousands", "ten thousands", "hundred thousands"];
const placeName = (place) => PLACES[place] ?? `place ${place + 1}`;

export function startTyping(root) {
  const page = JSON.parse(root.dataset.typing);
  const items = page.items.map(open);
  const paper = root.querySelector("[data-paper]");
  const slots = [...paper.querySelectorAll("[data-item]")];
  const spoken = root.querySelector("[data-spoken]");
  const directionText = root.querySelector("[data-direction]");
  const caret = { item: 0, row: "answer", place: 0, fresh: false };
  let fromLeft = false;
  let sameSquare = false;
  const past = [], future = [];
  const outbox = new Outbox(root, page.id, items, { written, take, typing: () => (paper.contains(document.activeElement) ? current().id : "") });

  function open(set) {
    return {
      id: set.id, top: set.top, bottom: set.bottom, version: set.version, unreadable: set.answer === "?",
      cells: new Map(Object.entries(set.cells).map(([place, text]) => [Number(place), text])),
      rewritten: new Map(Object.entries(set.rewritten).map(([place, marks]) => [Number(place), marks])),
    };
  }

  /** The item as the format has it: answer, and what stands beside it. */
  function written(item) {
    const places = [...item.cells.keys()].sort((a, b) => b - a);
    const answer = item.unreadable ? "?" : places.length === 0 ? null : places.map((place) => item.cells.get(place)).join("");
    const work = {};
    const plain = places.every((place, i) => item.cells.get(place).length === 1 && place === places.length - 1 - i);
    if (!plain) work.cells = Object.fromEntries(places.map((place) => [place, item.cells.get(place)]));
    if (item.rewritten.size > 0) work.rewritten = Object.fromEntries([...item.rewritten].map(([place, marks]) => [place, marks.length === 1 ? marks[0] : marks]));
    return { answer, work };
  }

  /** Puts back what was kept in this browser and had not reached the server. */
  function take(item, { answer, work }) {
    item.unreadable = answer === "?";
    item.cells.clear();
    item.rewritten.clear();
    const cells = work.cells ?? (answer === null || answer === "?" ? {} : Object.fromEntries([...answer].reverse().map((digit, place) => [place, digit])));
    for (const [place, text] of Object.entries(cells)) item.cells.set(Number(place), text);
    for (const [place, marks] of Object.entries(work.rewritten ?? {})) item.rewritten.set(Number(place), [].concat(marks));
  }

  const current = () => items[caret.item];
  const snapshot = (item) => ({ index: items.indexOf(item), cells: [...item.cells], rewritten: [...item.rewritten].map(([p, m]) => [p, [...m]]), unreadable: item.unreadable, caret: { ...caret } });

  function restore(from, to) {
    if (from.length === 0) return;
    const before = from.pop();
    const item = items[before.index];
    to.push(snapshot(item));
    item.cells = new Map(before.cells);
    item.rewritten = new Map(before.rewritten);
    item.unreadable = before.unreadable;
    Object.assign(caret, before.caret);
    outbox.changed(item);
  }

  function change(edit) {
    past.push(snapshot(current()));
    future.length = 0;
    edit(current());
    outbox.changed(current());
  }

  function render(index) {
    slots[index].querySelector("[data-drawing]").innerHTML = draw(items[index], index === caret.item ? caret : null);
    slots[index].classList.toggle("current", index === caret.item);
    slots[index].classList.toggle("answered", items[index].cells.size > 0 || items[index].unreadable);
  }

  function say() {
    const item = current();
    const where = caret.row === "answer" ? placeName(caret.place) : `over the ${placeName(caret.place)}`;
    spoken.textContent = `Item ${item.id}: ${item.top} minus ${item.bottom}, answer ${written(item).answer ?? "empty"}, at the ${where}`;
    directionText.textContent = fromLeft ? "from the left" : "from the right";
  }

  function goTo(index) {
    if (index < 0 || index >= items.length) return false;
    const before = caret.item;
    Object.assign(caret, { item: index, row: "answer", fresh: false, place: nextEmpty(items[index]) });
    sameSquare = false;
    render(before);
    render(index);
    slots[index].scrollIntoView({ block: "nearest" });
    outbox.refresh();
    return true;
  }

  function nextEmpty(item) {
    let place = 0;
    while (item.cells.has(place)) place++;
    return place;
  }

  function digit(key) {
    change((item) => {
      item.unreadable = false;
      if (caret.row === "top") return overTop(item, key);
      if (sameSquare && caret.place > 0) {
        item.cells.set(caret.place - 1, key + (item.cells.get(caret.place - 1) ?? ""));
      } else if (fromLeft) {
        for (let place = Math.max(-1, ...item.cells.keys()); place >= 0; place--) if (item.cells.has(place)) item.cells.set(place + 1, item.cells.get(place));
        item.cells.set(0, key);
        caret.place = 0;
      } else {
        item.cells.set(caret.place, key);
        caret.place++;
      }
    });
    sameSquare = false;
  }

  function overTop(item, key) {
    const marks = item.rewritten.get(caret.place) ?? [];
    if (marks.length === 0 || caret.fresh) marks.push(key);
    else marks[marks.length - 1] += key;
    caret.fresh = false;
    item.rewritten.set(caret.place, marks);
  }

  function erase() {
    change((item) => {
      item.unreadable = false;
      if (caret.row === "top") {
        const marks = item.rewritten.get(caret.place) ?? [];
        if (marks.length > 0) marks[marks.length - 1] = marks[marks.length - 1].slice(0, -1);
        if (marks.length > 0 && marks[marks.length - 1] === "") marks.pop();
        if (marks.length === 0) item.rewritten.delete(caret.place);
      } else if (fromLeft) {
        const last = Math.max(-1, ...item.cells.keys());
        for (let place = 0; place < last; place++) item.cells.set(place, item.cells.get(place + 1) ?? "");
        item.cells.delete(last);
      } else {
        if (!item.cells.has(caret.place) && caret.place > 0) caret.place--;
        item.cells.delete(caret.place);
      }
    });
  }

  function move(places) {
    caret.place = Math.max(0, Math.min(caret.place + places, Math.max(current().top.length, current().bottom.length)));
    caret.fresh = false;
    sameSquare = false;
    if (caret.row === "top") caret.place = Math.min(caret.place, current().top.length - 1);
  }

  const actions = {
    ArrowLeft: () => move(1),
    ArrowRight: () => move(-1),
    ArrowUp: () => {
      if (caret.row === "top") caret.fresh = current().rewritten.has(caret.place);
      else Object.assign(caret, { row: "top", place: Math.min(caret.place, current().top.length - 1), fresh: false });
    },
    ArrowDown: () => Object.assign(caret, { row: "answer", fresh: false }),
    Backspace: erase,
    Delete: () => change((item) => (caret.row === "top" ? item.rewritten.delete(caret.place) : item.cells.delete(caret.place))),
    " ": () => { if (caret.row === "answer") { change((item) => item.cells.delete(caret.place)); caret.place++; } },
    ".": () => { sameSquare = true; },
    "?": () => change((item) => { item.cells.clear(); item.unreadable = true; }),
    l: () => { fromLeft = !fromLeft; },
  };

  function onKey(event) {
    if (event.ctrlKey || event.metaKey) {
      const key = event.key.toLowerCase();
      if (key === "z" && !event.shiftKey) restore(past, future);
      else if (key === "y" || key === "z") restore(future, past);
      else return;
    } else if (event.key === "Enter") {
      if (!goTo(caret.item + (event.shiftKey ? -1 : 1)) && !event.shiftKey) root.querySelector("[data-done]").focus();
    } else if (/^[0-9]$/.test(event.key)) digit(event.key);
    else if (actions[event.key]) actions[event.key]();
    else return;
    event.preventDefault();
    items.forEach((_, index) => render(index));
    say();
  }

  paper.addEventListener("keydown", onKey);
  slots.forEach((slot, index) => slot.addEventListener("mousedown", (event) => {
    goTo(index);
    const box = slot.querySelector("svg").getBoundingClientRect();
    const scale = box.width / slot.querySelector("svg").width.baseVal.value;
    const at = squareAt(items[index], (event.clientX - box.left) / scale, (event.clientY - box.top) / scale);
    Object.assign(caret, at.row === "top" ? { row: "top", place: Math.min(at.place, items[index].top.length - 1), fresh: false } : at);
    render(index);
    say();
  }));

  outbox.restore();
  items.forEach((_, index) => render(index));
  const firstOpen = items.findIndex((item) => item.cells.size === 0 && !item.unreadable);
  goTo(Math.max(0, firstOpen));
  say();
  paper.focus();
  paper.addEventListener("blur", () => outbox.refresh());
}

// Typing in a page on squared paper, by keyboard, mouse or touch. Each change is kept in the browser, drawn, and sent.
import { draw, layout, squareAt } from "./drawing.js";
import { showConflicts, showMargin } from "./margin.js";
import { Outbox } from "./outbox.js";
import { answerOf, copy, isOpen, marksSpoken, open, restore, shift, turnRound } from "./working.js";

const PLACES = ["ones", "tens", "hundreds", "thousands", "ten thousands", "hundred thousands"];
const placeName = (place) => PLACES[place] ?? `place ${place + 1}`;
const PATIENCE = 10000; // milliseconds that "Read the page" waits for the last acknowledgement

export function startTyping(root) {
  const page = JSON.parse(root.dataset.typing);
  page.items = page.items.map(open);
  const { items } = page;
  const paper = root.querySelector("[data-paper]");
  const slots = [...paper.querySelectorAll("[data-item]")];
  const find = (name) => root.querySelector(`[data-${name}]`);
  const caret = { item: 0, row: "answer", place: 0, fresh: false, after: false, fromLeft: page.direction === "FromLeft" };
  const past = [], future = [];
  let sameSquare = false;
  let turned = new Map();
  let notice = "";
  const outbox = new Outbox(page, root.dataset.token, { typing: () => (paper.contains(document.activeElement) ? current().id : ""), changed: showState, margin: takeMargin });
  const current = () => items[caret.item];
  const topPlaces = (item) => item.top.length - 1;

  // What is done to the item under the hand.

  const snapshot = (item) => ({ index: items.indexOf(item), ...copy(item), caret: { ...caret } });

  function goBack(from, to) {
    if (from.length === 0) return;
    const before = from.pop();
    const item = items[before.index];
    to.push(snapshot(item));
    restore(item, before);
    Object.assign(caret, before.caret, { fromLeft: caret.fromLeft });
    outbox.changed(item);
  }

  function change(edit) {
    past.push(snapshot(current()));
    future.length = 0;
    edit(current());
    outbox.changed(current());
  }

  function digit(key) {
    change((item) => {
      if (caret.row === "top") return overTop(item, key);
      item.unreadable = false;
      if (sameSquare) return beside(item, key);
      if (caret.fromLeft && caret.after) {
        shift(item, 1);
        item.cells.set(0, key);
        return;
      }
      item.cells.set(caret.place, key);
      if (!caret.fromLeft) caret.place++;
      else if (caret.place > 0) caret.place--;
      else caret.after = true;
    });
    sameSquare = false;
  }

  /** Puts a digit into the square that was written last, on the side from which digits come. */
  function beside(item, key) {
    const last = caret.fromLeft ? (caret.after ? 0 : caret.place + 1) : caret.place - 1;
    if (!item.cells.has(last)) item.cells.set(caret.place, key);
    else item.cells.set(last, caret.fromLeft ? item.cells.get(last) + key : key + item.cells.get(last));
  }

  function overTop(item, key) {
    const marks = item.rewritten.get(caret.place) ?? [];
    if (marks.length === 0 || caret.fresh) marks.push(key);
    else if (marks[marks.length - 1].length === 2) notice = "A new value has one or two digits; ↑ strikes it out for another.";
    else marks[marks.length - 1] += key;
    caret.fresh = false;
    item.rewritten.set(caret.place, marks);
  }

  function erase() {
    change((item) => {
      if (caret.row === "top") return eraseOverTop(item);
      if (item.unreadable) {
        item.unreadable = false;
        return;
      }
      const place = caret.after || item.cells.has(caret.place) ? caret.place : caret.place + (caret.fromLeft ? 1 : -1);
      const text = item.cells.get(place) ?? "";
      if (text.length > 1) item.cells.set(place, caret.fromLeft ? text.slice(0, -1) : text.slice(1));
      else item.cells.delete(place);
      if (text.length > 1) return;
      if (caret.after) shift(item, -1);
      else caret.place = Math.max(0, place);
      if (item.cells.size === 0 && caret.fromLeft) toStart(item);
    });
  }

  function eraseOverTop(item) {
    const marks = item.rewritten.get(caret.place) ?? [];
    if (marks.length > 0) marks[marks.length - 1] = marks[marks.length - 1].slice(0, -1);
    if (marks.length > 0 && marks[marks.length - 1] === "") marks.pop();
    if (marks.length === 0) item.rewritten.delete(caret.place);
  }

  function emptySquare() {
    if (caret.row !== "answer") return;
    change((item) => {
      item.unreadable = false;
      if (caret.after) return shift(item, 1);
      item.cells.delete(caret.place);
      caret.place = Math.max(0, Math.min(caret.place + (caret.fromLeft ? -1 : 1), layout(item).columns - 1));
    });
  }

  // Where the hand is.

  function toStart(item) {
    let place = 0;
    while (!caret.fromLeft && item.cells.has(place)) place++;
    Object.assign(caret, { row: "answer", fresh: false, place, after: caret.fromLeft });
    sameSquare = false;
  }

  function goTo(index) {
    if (index < 0 || index >= items.length) return false;
    caret.item = index;
    toStart(items[index]);
    slots[index].scrollIntoView({ block: "nearest" });
    outbox.refresh();
    return true;
  }

  /** The item after this one; behind the last one the first that is still open, and when none is, the way on. */
  function nextItem() {
    if (goTo(caret.item + 1)) return;
    const left = items.findIndex(isOpen);
    if (left >= 0) goTo(left);
    else find("done").focus();
  }

  function move(places) {
    const most = caret.row === "top" ? topPlaces(current()) : layout(current()).columns - 1;
    if (caret.after && places > 0) caret.after = current().cells.size === 0;
    else if (caret.fromLeft && caret.row === "answer" && caret.place === 0 && places < 0) caret.after = true;
    caret.place = Math.max(0, Math.min(caret.place + (caret.after ? 0 : places), most));
    caret.fresh = false;
    sameSquare = false;
  }

  function up() {
    if (caret.row === "top") caret.fresh = current().rewritten.has(caret.place);
    else Object.assign(caret, { row: "top", place: Math.min(caret.place, topPlaces(current())), fresh: false, after: false });
  }

  function down() {
    Object.assign(caret, { row: "answer", fresh: false, after: caret.fromLeft && caret.place === 0 && current().cells.has(0) });
  }

  function setDirection(isFromLeft, isFirst) {
    if (isFirst && isFromLeft !== caret.fromLeft && past.length > 0) change(turnRound);
    caret.fromLeft = isFromLeft;
    toStart(current());
    fetch("/api/direction", { method: "PUT", headers: { "content-type": "application/json", "X-Antiforgery": outbox.token }, body: JSON.stringify(isFromLeft ? "FromLeft" : "FromRight") }).catch(() => {});
    find("ask-direction").hidden = true;
    find("saved-direction").textContent = isFromLeft ? "Digits come from the left, as the answer is read." : "Digits come from the right, as the columns are worked.";
  }

  // Keys.

  const actions = {
    ArrowLeft: () => move(1),
    ArrowRight: () => move(-1),
    ArrowUp: up,
    ArrowDown: down,
    Home: () => Object.assign(caret, { place: caret.row === "top" ? topPlaces(current()) : layout(current()).columns - 1, after: false, fresh: false }),
    End: () => Object.assign(caret, { place: 0, after: caret.fromLeft && caret.row === "answer", fresh: false }),
    Enter: nextItem,
    Backspace: erase,
    Delete: () => change((item) => (caret.row === "top" ? item.rewritten.delete(caret.place) : item.cells.delete(caret.place))),
    " ": emptySquare,
    ".": () => { sameSquare = caret.row === "answer"; },
    "?": () => change((item) => { item.cells.clear(); item.unreadable = true; toStart(item); }),
    l: () => setDirection(!caret.fromLeft),
    undo: () => goBack(past, future),
    redo: () => goBack(future, past),
  };
  const isDigit = (key) => /^[0-9]$/.test(key);

  /** Does what a key says; false where it says nothing. */
  function press(key) {
    const action = actions[key] ?? actions[key.toLowerCase()];
    if (isDigit(key)) digit(key);
    else if (action) action();
    else return false;
    render();
    return true;
  }

  function meant(event) {
    if (event.altKey) return "";
    if (event.ctrlKey || event.metaKey) {
      const key = event.key.toLowerCase();
      return key === "z" ? (event.shiftKey ? "redo" : "undo") : key === "y" ? "redo" : "";
    }
    return event.key;
  }

  paper.addEventListener("keydown", (event) => {
    const key = meant(event);
    if (key === "Enter" && event.shiftKey) {
      goTo(caret.item - 1);
      render();
      event.preventDefault();
    } else if (key && press(key)) event.preventDefault();
  });

  // Digits that are typed while the focus is beside the paper belong on the paper.
  document.addEventListener("keydown", (event) => {
    if (paper.contains(event.target) || event.target.matches("input:not([type=checkbox]), textarea, select")) return;
    const key = meant(event);
    if (!isDigit(key) && key !== "?") return;
    paper.focus();
    press(key);
    event.preventDefault();
  });

  for (const button of root.querySelectorAll("[data-key]")) {
    button.addEventListener("pointerdown", (event) => event.preventDefault());
    button.addEventListener("click", () => {
      press(button.dataset.key);
      if (button.dataset.key !== "Enter" || items.some(isOpen)) paper.focus({ preventScroll: true });
    });
  }

  slots.forEach((slot, index) => slot.addEventListener("mousedown", (event) => {
    const svg = slot.querySelector("svg"), box = svg.getBoundingClientRect();
    const at = squareAt(items[index], (event.clientX - box.left) / box.width, (event.clientY - box.top) / box.height);
    goTo(index);
    Object.assign(caret, { after: false, fresh: false }, at.row === "top" ? { row: "top", place: Math.min(at.place, topPlaces(items[index])) } : at);
    render();
  }));

  // What is shown.

  function render() {
    items.forEach((item, index) => {
      slots[index].querySelector("[data-drawing]").innerHTML = draw(item, index === caret.item ? caret : null);
      slots[index].classList.toggle("current", index === caret.item);
    });
    const item = current(), reads = answerOf(item);
    const where = caret.row === "answer" ? placeName(caret.place) : `over the ${placeName(caret.place)}`;
    const marks = marksSpoken(item);
    find("spoken").textContent = `Item ${item.id}: ${item.top} minus ${item.bottom}${marks ? `; ${marks}` : ""}; answer ${reads === "?" ? "cannot be read" : reads ?? "empty"}, at the ${where}`;
    find("reads").textContent = notice || `Item ${item.id} ${reads === null ? "is empty" : reads === "?" ? "cannot be read" : `reads ${reads}`}`;
    notice = "";
    find("direction").textContent = caret.fromLeft ? "→ from the left" : "← from the right";
    showTurned();
  }

  function showState() {
    find("saving").textContent = outbox.state;
    find("saving").classList.toggle("trouble", !outbox.isSettled && outbox.state !== "Saving…");
    showConflicts(root, outbox, render);
  }

  function takeMargin(margin) {
    showMargin(root, margin);
    turned = new Map(margin.turned.map((t) => [t.id, t]));
    showTurned();
  }

  // An answer that only makes sense from the other side was probably typed in the wrong direction.
  function showTurned() {
    const at = [...turned.keys()].map((id) => items.find((item) => item.id === id)).find((item) => answerOf(item) === turned.get(item.id).answer);
    find("turned").hidden = !at;
    if (!at) return;
    const { answer, other } = turned.get(at.id);
    find("turned-text").textContent = `Item ${at.id} reads ${answer}. Typed from the other side it would be ${other}.`;
    find("turn").onclick = () => {
      goTo(items.indexOf(at));
      change(turnRound);
      toStart(current());
      render();
      paper.focus();
    };
    find("leave").onclick = () => {
      turned.delete(at.id);
      showTurned();
      paper.focus();
    };
  }

  // Going on to the reading: only when all of it is with the server.

  find("finish").addEventListener("submit", async (event) => {
    if (outbox.isSettled) return;
    event.preventDefault();
    const form = event.target;
    find("not-yet").textContent = "Waiting until everything is saved…";
    outbox.send();
    for (const until = Date.now() + PATIENCE; !outbox.isSettled && Date.now() < until && !outbox.trouble && outbox.refused.size === 0 && outbox.conflicts.size === 0;) await new Promise((wake) => setTimeout(wake, 50));
    if (outbox.isSettled) form.submit();
    else find("not-yet").textContent = `Not read yet. ${outbox.unsettled} ${/^Items/.test(outbox.unsettled) ? "are" : "is"} not saved.`;
  });

  for (const [name, isFromLeft] of [["from-left", true], ["from-right", false]])
    find(name).addEventListener("click", () => {
      setDirection(isFromLeft, true);
      render();
      paper.focus();
    });
  find("direction").addEventListener("click", () => { press("l"); paper.focus(); });

  outbox.restore();
  goTo(Math.max(0, items.findIndex(isOpen)));
  render();
  if (page.direction === "NotAsked") find("from-left").focus();
  else paper.focus();
  paper.addEventListener("blur", () => outbox.refresh());
}

// Typing in a page on squared paper, in squares or in lines, by keyboard, mouse or touch. Each change is kept in the browser, drawn, and sent.
import { draw, squareAt } from "./drawing.js";
import { Hand } from "./hand.js";
import { meant, showKeyRow } from "./keyrow.js";
import { LineHand } from "./line-hand.js";
import { BesideFields, isLines } from "./lines.js";
import { showConflicts, showMargin } from "./margin.js";
import { Outbox } from "./outbox.js";
import { TurnedAnswers } from "./turned.js";
import { answerOf, copy, isOfKind, isOpen, marksSpoken, open, restore, strikeAnswer, take, turnRound, written } from "./working.js";

export function startTyping(root) {
  const page = JSON.parse(root.dataset.typing);
  const items = page.items.map((set) => ({ ...open(set), page: page.id, code: page.code, title: page.title, name: `Item ${set.id}` }));
  const paper = root.querySelector("[data-paper]");
  const slots = [...paper.querySelectorAll("[data-item]")];
  const find = (name) => root.querySelector(`[data-${name}]`);
  const hand = new Hand(page.direction === "FromLeft");
  const past = [], future = [];
  const leftBlank = new Set(); // items that were passed with Enter while nothing stood there
  const stale = new Set(items); // items that are to be drawn anew
  let at = 0;
  let switched = false; // whether the direction was changed by key and nothing typed since
  let notice = "";
  const outbox = new Outbox(items, root.dataset.token, {
    written,
    take: (item, before) => isOfKind(item, before) && (take(item, before), true),
    names: (of) => `${of.length === 1 ? "Item" : "Items"} ${of.map((item) => item.id).join(", ")}`,
    address: () => `/api/pages/${page.id}/items?typing=${encodeURIComponent(paper.contains(document.activeElement) ? current().id : "")}`,
    pack: (sent) => `[${sent.map((s) => s.text).join(",")}]`,
    unpack: (reply) => [{ page: page.id, ...reply }],
  }, { changed: showState, heard: (reply) => takeMargin(reply.margin) });
  const current = () => items[at];
  const lineHand = new LineHand(items, slots, {
    meant,
    nextItem,
    act: (name) => actions[name](),
    goTo: (index) => goTo(index) && showHand(),
    change: changeAt,
    arrive: (index) => {
      if (at === index) return showSigns();
      at = index;
      outbox.refresh();
      render();
    },
  });

  // What is filled in beside items in squares; beside lines the hand that writes in lines has it.
  const beside = items.map((item, index) => !isLines(item) && item.beside.length > 0 && new BesideFields(item, slots[index], {
    typed: (cell, text) => changeAt(index, (changed) => { changed.cells[cell] = text; }),
    meant,
    act: (name) => { actions[name](); render(); },
    leave: () => paper.focus({ preventScroll: true }),
    focused: () => arrive(index),
  }));

  function changeAt(index, edit) {
    at = index;
    change(edit);
    render();
  }

  function arrive(index) {
    if (at === index) return showSigns();
    if (goTo(index)) render();
  }

  const turned = new TurnedAnswers(root, items, {
    turn: (asked, isPage) => {
      const before = at;
      for (const item of asked) {
        goTo(items.indexOf(item));
        change(turnRound);
      }
      if (isPage) {
        setDirection(!hand.fromLeft);
        goTo(before);
      }
      hand.toStart(current());
      showHand();
    },
    leave: (isPage) => {
      if (isPage) tell(`/api/pages/${page.id}/written-so`, true);
      focusHand();
    },
  });

  // What is done to the item under the hand.

  const snapshot = (item) => ({ index: items.indexOf(item), state: copy(item), hand: isLines(item) ? lineHand.line : hand.position });

  function goBack(from, to) {
    if (from.length === 0) return;
    const before = from.pop();
    const item = items[before.index];
    to.push(snapshot(item));
    restore(item, before.state);
    stale.add(item);
    at = before.index;
    outbox.changed(item);
    if (!isLines(item)) return hand.take(item, before.hand);
    lineHand.render(at);
    lineHand.focus(at, before.hand);
  }

  /** Does something to the item; what changes nothing is no step to be undone. */
  function change(edit) {
    const before = snapshot(current());
    const said = edit(current());
    if (typeof said === "string") notice = said;
    if (JSON.stringify(copy(current())) === JSON.stringify(before.state)) return;
    past.push(before);
    stale.add(current());
    future.length = 0;
    outbox.changed(current());
  }

  function goTo(index) {
    if (index < 0 || index >= items.length) return false;
    at = index;
    if (!isLines(items[index])) hand.toStart(items[index]);
    slots[index].scrollIntoView({ block: "nearest" });
    outbox.refresh();
    return true;
  }

  /** Puts the focus where the item under the hand is written. */
  function focusHand() {
    if (isLines(current())) lineHand.fields[at].focus();
    else if (!beside[at]?.hasHand) paper.focus({ preventScroll: true });
  }

  function showHand() {
    render();
    focusHand();
  }

  /** The item after this one; behind the last one the first that is still open and was not left blank, and when none is, the way on. */
  function nextItem() {
    const from = current();
    if (isOpen(from)) leftBlank.add(from);
    const left = items.findIndex((item) => isOpen(item) && !leftBlank.has(item));
    if (goTo(at + 1) || (left >= 0 && goTo(left))) showHand();
    else find("done").focus();
    if (leftBlank.has(from) && isOpen(from) && !isLines(from) && !isLines(current())) notice = `Item ${from.id} is left blank`; // the key that did it shows it
  }

  const tell = (address, said) => fetch(address, { method: "PUT", headers: { "content-type": "application/json", "X-Antiforgery": outbox.token }, body: JSON.stringify(said) }).catch(() => {});

  /** Has the digits of this page come from one side; the first time it is asked, of every page. */
  function setDirection(isFromLeft, isFirst) {
    if (isFirst && isFromLeft !== hand.fromLeft && past.length > 0 && !isLines(current()) && !hand.strip.fromLeft) change(turnRound);
    hand.fromLeft = isFromLeft;
    if (!isLines(current())) hand.toStart(current());
    tell(isFirst ? "/api/direction" : `/api/pages/${page.id}/direction`, isFromLeft ? "FromLeft" : "FromRight");
    find("ask-direction").hidden = true;
    switched = !isFirst && !switched;
    find("switched").hidden = !switched;
    find("switched-text").textContent = isFromLeft ? "On this page digits now come from the left, as the answer is read." : "On this page digits now come from the right, as the columns are worked.";
  }

  function showKeys() {
    const keys = root.querySelector("#keys");
    keys.open = !keys.open;
    if (keys.open) keys.scrollIntoView({ block: "nearest" });
  }

  function strike() {
    change(strikeAnswer);
    hand.toStart(current());
  }

  // Keys.

  const actions = {
    ArrowLeft: () => hand.move(current(), 1),
    ArrowRight: () => hand.move(current(), -1),
    ArrowUp: () => hand.climb(current(), -1),
    ArrowDown: () => hand.climb(current(), 1),
    Home: () => hand.toEnd(current(), true),
    End: () => hand.toEnd(current(), false),
    Enter: nextItem,
    Backspace: () => change((item) => hand.erase(item)),
    Delete: () => change((item) => hand.clear(item)),
    " ": () => change((item) => hand.passOver(item)),
    "<": () => change((item) => hand.push(item, 1)),
    ">": () => change((item) => hand.push(item, -1)),
    j: () => hand.join(),
    u: () => change((item) => hand.unreadable(item)),
    x: strike,
    strike,
    b: () => { notice = hand.toLowerNumber(current()) ?? ""; },
    "?": showKeys,
    l: () => setDirection(!hand.fromLeft),
    undo: () => goBack(past, future),
    redo: () => goBack(future, past),
  };
  const isDigit = (key) => /^[0-9]$/.test(key);
  const isSign = (key) => key.length === 1 && (hand.strip.signs ?? "").includes(key.toLowerCase());

  /** Does what a key says; false where it says nothing. */
  function press(key) {
    if (isLines(current())) return lineHand.press(at, key);
    const action = actions[key] ?? actions[key.toLowerCase()];
    if (isDigit(key) || isSign(key)) {
      change((item) => hand.write(item, key.toLowerCase()));
      find("switched").hidden = true;
      switched = false;
    }
    else if (action) action();
    else return false;
    render();
    return true;
  }

  paper.addEventListener("keydown", (event) => {
    if (event.target !== paper) return;
    const key = meant(event);
    if (event.altKey && beside[at] && beside[at].byKey(event.key)) event.preventDefault();
    else if (key === "Enter" && event.shiftKey) {
      goTo(at - 1);
      render();
      event.preventDefault();
    } else if (key && press(key)) event.preventDefault();
  });

  // Digits that are typed while the focus is beside the paper belong on the paper.
  document.addEventListener("keydown", (event) => {
    if (paper.contains(event.target) || event.target.matches("input:not([type=checkbox]), textarea, select")) return;
    const key = meant(event);
    if (!isDigit(key)) return;
    focusHand();
    if (isLines(current())) return; // the field that has the focus now takes the digit
    press(key);
    event.preventDefault();
  });

  for (const button of root.querySelectorAll("[data-key]")) {
    button.addEventListener("pointerdown", (event) => event.preventDefault());
    button.addEventListener("click", () => {
      press(button.dataset.key);
      if (document.activeElement !== find("done") && !isLines(current())) paper.focus({ preventScroll: true });
    });
  }

  slots.forEach((slot, index) => slot.addEventListener("mousedown", (event) => {
    if (event.target.closest("[data-beside], [data-lines]")) return;
    if (isLines(items[index])) {
      event.preventDefault();
      goTo(index);
      showHand();
      return;
    }
    const svg = slot.querySelector("svg"), box = svg.getBoundingClientRect();
    const square = squareAt(items[index], (event.clientX - box.left) / box.width, (event.clientY - box.top) / box.height);
    goTo(index);
    hand.take(items[index], { ...square, after: false });
    render();
  }));

  // What a screen reader was told last.
  let told = {};

  // What is shown.

  function render() {
    items.forEach((item, index) => {
      const isCurrent = index === at;
      if (!isCurrent && !slots[index].classList.contains("current") && !stale.has(item)) return;
      if (isLines(item)) lineHand.render(index);
      else {
        slots[index].querySelector("[data-drawing]").innerHTML = draw(item, isCurrent ? hand.caret : null);
        slots[index].querySelector("[data-struck]").replaceChildren(...item.struck.map((text) => Object.assign(document.createElement("s"), { textContent: text })));
        if (beside[index]) beside[index].render();
      }
      slots[index].classList.toggle("current", isCurrent);
    });
    stale.clear();
    const item = current(), reads = answerOf(item);
    find("spoken").textContent = isLines(item) ? "" : heard(item, reads);
    find("reads").textContent = notice || `Item ${item.id} ${reads === null ? "is empty" : reads === "?" ? "cannot be read" : `reads ${reads}`}`;
    notice = "";
    showSigns();
    if (!isLines(item) && document.activeElement === paper) slots[at].scrollIntoView({ block: "nearest" }); // what stands above it may have grown
    find("direction").textContent = hand.fromLeft ? "→ from the left" : "← from the right";
    turned.show();
  }

  // All of an item when the hand comes to it, and then only what has changed; what is shown twice is told once.
  function heard(item, reads) {
    const now = { item, marks: marksSpoken(item), answer: `answer ${reads === "?" ? "cannot be read" : reads ?? "empty"}`, where: hand.where };
    const isNew = told.item !== item;
    if (!isNew && now.marks === told.marks && now.answer === told.answer && now.where === told.where) return told.text;
    now.text = [
      isNew ? `Item ${item.id}: ${item.spoken}` : "",
      now.marks === (isNew ? "" : told.marks) ? "" : now.marks || "no marks",
      !isNew && now.answer === told.answer ? "" : now.answer,
      now.where,
    ].filter(Boolean).join("; ");
    told = now;
    return told.text;
  }

  const showSigns = () => showKeyRow(root, current(), hand.strip);

  function showState() {
    find("saving").textContent = outbox.state;
    find("saving").classList.toggle("trouble", !outbox.isSettled && outbox.state !== "Saving…");
    showConflicts(root, outbox, (item) => { stale.add(item); render(); });
  }

  function takeMargin(margin) {
    showMargin(root, margin);
    turned.take(margin);
  }

  // Going on to the reading: only when all of it is with the server.

  find("finish").addEventListener("submit", async (event) => {
    if (outbox.isSettled) return;
    event.preventDefault();
    const form = event.target;
    find("not-yet").textContent = "Waiting until everything is saved…";
    if (await outbox.settleDown()) form.submit();
    else find("not-yet").textContent = `Not read yet. ${outbox.unsettled} ${/^Items/.test(outbox.unsettled) ? "are" : "is"} not saved.`;
  });

  for (const [name, isFromLeft] of [["from-left", true], ["from-right", false]])
    find(name).addEventListener("click", () => {
      setDirection(isFromLeft, true);
      showHand();
    });
  for (const name of ["direction", "switch-back"]) find(name).addEventListener("click", () => { press("l"); focusHand(); });

  outbox.restore();
  // Behind what is typed already: what is still open before it was left blank, and items that were added stand at the end.
  const behind = items.findLastIndex((item) => !isOpen(item)) + 1;
  goTo(behind < items.length ? behind : Math.max(0, items.findIndex(isOpen)));
  render();
  const asks = page.direction === "NotAsked" && items.some((item) => !isLines(item));
  find("ask-direction").hidden = !asks;
  if (asks) find("from-left").focus();
  else focusHand();
  paper.addEventListener("blur", () => outbox.refresh());
}

// An item that stands in lines: each line is a field while it is typed, and is built up by the server (fractions, powers, roots) when it is left or after
// a pause. A line that does not parse keeps its text and says where. The last line is the answer.
import { numberField } from "./decimal-sign.js";

const PAUSE = 700; // milliseconds after the last key before a line is built up beside its field
const built = new Map();

export const isLines = (item) => item.texts !== undefined;

const STRUCK = "~", SIDE = "|"; // what stands in front of a line that is struck out, and of work on the side

export const isStruck = (line) => line.trimStart().startsWith(STRUCK);
export const isRead = (line) => !isStruck(line) && !line.trimStart().startsWith(SIDE);

/** Strikes a line out, or takes that back. */
export const struckOrNot = (line) => (isStruck(line) ? line.trimStart().slice(STRUCK.length).trimStart() : `${STRUCK} ${line.trimStart()}`);

/** The lines in which something stands. */
export const filled = (item) => item.texts.filter((line) => line.trim() !== "");

/** A line as the server builds it up: { svg, at, message, stays }; asked for once. */
export function build(text) {
  if (!built.has(text)) {
    const asked = fetch(`/api/line?text=${encodeURIComponent(text)}`).then((answer) => (answer.ok ? answer.json() : null)).catch(() => null);
    asked.then((line) => line ?? built.delete(text));
    built.set(text, asked);
  }
  return built.get(text);
}

/** The fields of an item in its place on the page. `tell` hears of what is typed, of keys, and of where the hand is. */
export class LineFields {
  constructor(item, slot, tell) {
    Object.assign(this, { item, list: slot.querySelector("[data-lines]"), tell, pause: 0 });
  }

  /** Shows the lines as they stand; a field that is there already stays, so that the hand stays in it. */
  render() {
    const lines = this.item.texts.length > 0 ? this.item.texts : [""];
    while (this.list.children.length > lines.length) this.list.lastElementChild.remove();
    while (this.list.children.length < lines.length) this.list.append(this.make());
    [...this.list.children].forEach((row, at) => {
      const field = row.querySelector("input");
      if (field.value !== lines[at]) field.value = lines[at];
      field.setAttribute("aria-label", `Item ${this.item.id}, line ${at + 1}${isStruck(lines[at]) ? ", struck out" : isRead(lines[at]) ? "" : ", on the side"}`);
      row.classList.toggle("struck", isStruck(lines[at]));
      row.classList.toggle("onside", !isStruck(lines[at]) && !isRead(lines[at]));
      row.classList.toggle("answer", at === lines.length - 1 && lines.length > 1);
      if (at === 0) field.placeholder = "";
      this.show(row);
    });
  }

  make() {
    const row = document.createElement("li"), picture = document.createElement("span"), field = document.createElement("input"), fault = document.createElement("span");
    picture.className = "built";
    picture.setAttribute("aria-hidden", "true");
    fault.className = "linefault";
    numberField(Object.assign(field, { type: "text", className: "hand", autocomplete: "off", spellcheck: false, maxLength: 200 }));
    for (const [name, value] of [["autocapitalize", "off"], ["autocorrect", "off"], ["enterkeyhint", "next"]]) field.setAttribute(name, value);
    fault.id = `fault-${this.item.id}-${Math.random().toString(36).slice(2)}`;
    field.setAttribute("aria-describedby", fault.id);
    row.append(picture, field, fault);
    field.addEventListener("input", () => {
      this.tell.typed(this.at(field), field.value);
      clearTimeout(this.pause);
      this.pause = setTimeout(() => this.show(row), PAUSE);
    });
    field.addEventListener("keydown", (event) => { if (this.tell.key(event, this.at(field), field)) event.preventDefault(); });
    field.addEventListener("focus", () => this.tell.focused(this.at(field)));
    field.addEventListener("blur", () => this.show(row));
    row.addEventListener("mousedown", (event) => {
      if (event.target === field) return;
      event.preventDefault();
      field.focus();
    });
    return row;
  }

  at(field) { return [...this.list.children].indexOf(field.parentElement); }

  /** Builds a line up, unless it has changed in the meantime. */
  async show(row) {
    const field = row.querySelector("input"), text = field.value.trim(), fault = row.querySelector(".linefault");
    if (text === "" || text === STRUCK || text === SIDE) return this.put(row, fault, { svg: "", message: "" });
    const line = await build(text);
    if (line && field.value.trim() === text) this.put(row, fault, line, text);
  }

  put(row, fault, { svg, at, message, stays = "" }, text = "") {
    const below = row.nextElementSibling?.querySelector("input");
    if (below) below.placeholder = stays;
    const picture = row.querySelector(".built");
    if (picture.innerHTML !== svg) picture.innerHTML = svg;
    row.classList.toggle("isbuilt", svg !== "" && !message);
    fault.textContent = message ? `${message} ${at < text.length ? `At “${text.slice(at)}”. ` : ""}It is kept as it stands.` : "";
  }

  /** Puts the hand into a line; behind what stands there. */
  focus(at = this.list.children.length - 1) {
    const field = this.list.children[Math.max(0, Math.min(at, this.list.children.length - 1))].querySelector("input");
    field.focus({ preventScroll: true });
    field.setSelectionRange(field.value.length, field.value.length);
    field.scrollIntoView({ block: "nearest" });
  }

  /** Takes what stays of the line before into a line in which nothing stands; whether there is something. */
  takeStays(field) {
    if (field.value !== "" || field.placeholder === "") return false;
    this.insert(field.placeholder);
    return true;
  }

  /** Writes where the hand is, as keys for mouse and touch do. */
  insert(text) {
    const field = this.list.contains(document.activeElement) ? document.activeElement : this.list.lastElementChild.querySelector("input");
    if (document.activeElement !== field) field.focus();
    if (text === "") {
      if (field.selectionStart === field.selectionEnd && field.selectionStart > 0) field.setSelectionRange(field.selectionStart - 1, field.selectionEnd);
    }
    field.setRangeText(text, field.selectionStart, field.selectionEnd, "end");
    field.dispatchEvent(new Event("input"));
  }
}

/**
 * The cells beside a working: each part has a key and a button that open it, and stays open where something stands in it. `tell` hears of what is typed and
 * of where the hand is, says what a key means, undoes and does again, and takes the hand back to the working.
 */
export class BesideFields {
  constructor(item, slot, tell) {
    Object.assign(this, { item, tell, open: new Set() });
    this.parts = new Map(item.beside.map((part) => [part.name, this.make(part, slot.querySelector("[data-beside]"))]));
  }

  make(part, place) {
    const opener = document.createElement("button"), group = document.createElement("div"), fields = new Map();
    Object.assign(opener, { type: "button", tabIndex: -1, className: "button plain", textContent: part.title, title: `Alt+${part.key.toUpperCase()}` });
    opener.addEventListener("click", () => this.show(part.name));
    group.className = `beside ${part.name}`;
    group.setAttribute("role", "group");
    group.setAttribute("aria-label", `Item ${this.item.id}: ${part.title}`);
    for (const cell of part.cells) {
      const field = document.createElement("input");
      numberField(Object.assign(field, { type: "text", className: "hand", autocomplete: "off", spellcheck: false, maxLength: 60 }));
      field.setAttribute("aria-label", `Item ${this.item.id}, ${cell.label}`);
      field.style.gridRow = cell.row;
      field.style.gridColumn = cell.column;
      field.addEventListener("input", () => this.tell.typed(cell.id, field.value));
      field.addEventListener("focus", () => this.tell.focused());
      field.addEventListener("keydown", (event) => { if (this.press(event, field)) event.preventDefault(); });
      fields.set(cell.id, field);
      group.append(field);
    }
    place.append(opener, group);
    return { part, opener, group, fields };
  }

  render() {
    for (const [name, { opener, group, fields }] of this.parts) {
      for (const [id, field] of fields) if (field.value !== (this.item.cells[id] ?? "")) field.value = this.item.cells[id] ?? "";
      const isOpen = this.open.has(name) || [...fields.keys()].some((id) => this.item.cells[id]);
      opener.hidden = isOpen;
      group.hidden = !isOpen;
    }
  }

  /** Whether the hand is in one of the cells. */
  get hasHand() { return [...this.parts.values()].some(({ group }) => group.contains(document.activeElement)); }

  // Enter goes from cell to cell, and from the last one back to the working.
  press(event, field) {
    const meaning = this.tell.meant(event);
    if (meaning === "undo" || meaning === "redo") this.tell.act(meaning);
    else if (event.altKey && this.byKey(event.key)) return true;
    else if (event.key === "Enter") { if (!this.next(field)) this.tell.leave(); }
    else return false;
    event.stopPropagation();
    return true;
  }

  /** Opens a part and puts the hand into its first cell that is empty. */
  show(name) {
    this.open.add(name);
    this.render();
    const fields = [...this.parts.get(name).fields.values()];
    (fields.find((field) => field.value === "") ?? fields[0]).focus();
  }

  /** The cell behind one, in the order in which they are written; whether there is one. */
  next(field) {
    const fields = [...this.parts.values()].flatMap((part) => (part.group.hidden ? [] : [...part.fields.values()]));
    const behind = fields[fields.indexOf(field) + 1];
    behind?.focus();
    return behind !== undefined;
  }

  /** Opens the part of a key; whether there is one. */
  byKey(key) {
    const found = [...this.parts.values()].find(({ part }) => part.key === key.toLowerCase());
    if (found) this.show(found.part.name);
    return found !== undefined;
  }
}

// Numbers with a comma, where the account is set so. Everything that is stored, sent and read has the point; it is turned here, where it is shown and where
// it is typed, and in Printing/DecimalSign.cs for files. A comma is as long as a point, and "comma" as "point": places in a text stay what they are.
const isComma = globalThis.document?.body.dataset.decimal === "comma"; // without a page, as in the test of the drawings, the point stays
const UNTOUCHED = "script, style, textarea, input, [contenteditable], [data-as-typed]";
const NAMED = ["aria-label", "title", "placeholder"];

const renamed = (text, from, to) => text.replace(new RegExp(`\\b(${from[0]})${from.slice(1)}(s?)\\b`, "gi"), (_, first, many) => (first === from[0] ? to : to[0].toUpperCase() + to.slice(1)) + many);
const numbers = (text) => text.replace(/(\d)\.(?=\d)/g, "$1,");

/** A text as it is shown: numbers with a comma, a semicolon between them, and the sign by its name. */
export function shown(text) {
  const turned = numbers(text);
  return renamed(turned === text ? text : turned.replace(/(\d), (?=[−-]?\d)/g, "$1; "), "point", "comma");
}

const typed = (text) => text.replace(/(\d),(?=\d)/g, "$1.");

// What a kind of field shows, and what it gives. In a table with commas between its cells a comma is no decimal sign.
const kinds = {
  numbers: { shows: numbers, gives: typed },
  table: { shows: (text) => text, gives: (text) => (/[;\t]/.test(text) ? typed(text) : text) },
  prose: { shows: (text) => renamed(numbers(text), "point", "comma"), gives: (text) => renamed(typed(text), "comma", "point") },
};

/** Lets a field show the comma and give the point, whoever asks for its value; returns the field. */
export function numberField(field, kind = "numbers") {
  if (!isComma) return field;
  const { shows, gives } = kinds[kind], { get, set } = Object.getOwnPropertyDescriptor(Object.getPrototypeOf(field), "value");
  Object.defineProperty(field, "value", { get() { return gives(get.call(this)); }, set(text) { set.call(this, shows(text)); } });
  const show = () => {
    const stands = get.call(field), [from, to] = [field.selectionStart, field.selectionEnd];
    if (shows(stands) === stands) return;
    set.call(field, shows(stands));
    if (document.activeElement === field) field.setSelectionRange(from, to);
  };
  field.addEventListener("input", show);
  show();
  return field;
}

/** The key that was meant: on the keys for numbers the decimal sign of the place. */
export const decimalKey = (key) => (isComma && key === "," ? "." : key);

function turnText(node) {
  const about = node.parentElement;
  if (!about || about.closest(UNTOUCHED)) return;
  const text = node.data === "." && about.closest("text, mo, kbd, [data-key]") ? "," : shown(node.data);
  if (text !== node.data) node.data = text;
}

function turn(node) {
  if (node.nodeType === Node.TEXT_NODE) turnText(node);
  if (node.nodeType !== Node.ELEMENT_NODE) return;
  const texts = document.createTreeWalker(node, NodeFilter.SHOW_TEXT);
  while (texts.nextNode()) turnText(texts.currentNode);
  for (const named of [node, ...node.querySelectorAll(NAMED.map((name) => `[${name}]`).join(", "))]) turnNames(named);
  for (const field of [node, ...node.querySelectorAll("[data-numbers]")]) if (field.dataset?.numbers !== undefined) startField(field);
}

function turnNames(element) {
  for (const name of NAMED) {
    const text = element.getAttribute(name);
    if (text !== null && shown(text) !== text) element.setAttribute(name, shown(text));
  }
}

function startField(field) {
  if (!Object.hasOwn(field, "value")) numberField(field, field.dataset.numbers || "numbers");
}

/** Turns the page, and whatever comes into it. */
export function startDecimalSign() {
  if (!isComma) return;
  turn(document.documentElement);
  new MutationObserver((changes) => {
    for (const { type, target, addedNodes } of changes) {
      if (type === "childList") addedNodes.forEach(turn);
      else if (type === "characterData") turnText(target);
      else turnNames(target);
    }
  }).observe(document.documentElement, { childList: true, characterData: true, attributes: true, attributeFilter: NAMED, subtree: true });

  // A form sends what stands in its fields, and not what they give.
  document.addEventListener("formdata", ({ target, formData }) => {
    for (const field of target.elements) if (Object.hasOwn(field, "value") && field.name) formData.set(field.name, field.value);
  }, true);
}

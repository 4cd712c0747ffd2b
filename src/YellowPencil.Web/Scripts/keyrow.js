// The keys that hold for the item under the hand, and which signs can be written where it is, as keys for mouse and touch.
import { decimalKey } from "./decimal-sign.js";
import { isLines } from "./lines.js";

export function showKeyRow(root, item, strip) {
  const onLines = isLines(item), find = (name) => root.querySelector(`[data-${name}]`);
  for (const text of root.querySelectorAll("[data-keys-for]")) text.hidden = (text.dataset.keysFor === "lines") !== onLines;
  find("direction").hidden = onLines;
  if (onLines) showSignsOfLines(root, item, find);
  else showSignsOfSquares(root, item, strip);
}

function showSignsOfLines(root, item, find) {
  const isWritten = (key) => (key === "letter" ? Boolean(item.letter) : item.signs.includes(key === "sqrt(" ? "√" : key));
  for (const button of root.querySelectorAll("[data-sign]")) button.hidden = !isWritten(button.dataset.key);
  root.querySelector("[data-key=letter]").textContent = item.letter ?? "";
  const keys = find("beside-keys");
  keys.hidden = item.beside.length === 0;
  keys.innerHTML = `${item.beside.map((part) => `<kbd>Alt</kbd> <kbd>${part.key.toUpperCase()}</kbd> ${part.title}`).join(" · ")} ·`;
}

function showSignsOfSquares(root, item, strip) {
  const writable = item.strips.find((one) => one.kind === "Answer").signs ?? "";
  for (const text of root.querySelectorAll("[data-when]")) {
    const { when } = text.dataset;
    text.hidden = when.length === 1 ? !writable.includes(when) : !item.strips.some((one) => one.id.startsWith(when));
  }

  const signs = [...(strip.signs ?? "")].concat(strip.given ? ["<", ">"] : []);
  for (const button of root.querySelectorAll("[data-sign]")) button.hidden = !signs.includes(button.dataset.key);
}

/** What a key says: a sign or its name, "undo" or "redo"; nothing where it is held with a key that belongs to the browser. */
export function meant(event) {
  if (event.altKey) return "";
  if (event.ctrlKey || event.metaKey) {
    const key = event.key.toLowerCase();
    return key === "z" ? (event.shiftKey ? "redo" : "undo") : key === "y" ? "redo" : "";
  }
  return decimalKey(event.key);
}

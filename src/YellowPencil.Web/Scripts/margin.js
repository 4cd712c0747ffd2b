// The margin beside the paper: the reading so far, and what has to be decided about items that were changed in another tab.
import { draw } from "./drawing.js";
import { isLines } from "./lines.js";
import { copy, open, restore } from "./working.js";

export function showMargin(root, margin) {
  const place = (name) => root.querySelector(`[data-margin-${name}]`);
  place("outcome").textContent = margin.typed === 0 ? "Nothing typed yet." : margin.outcome;
  place("count").textContent = `${margin.typed} of ${margin.of} items typed${margin.enough ? ": enough to know." : "."}`;
  place("list").replaceChildren(...(margin.typed === 0 ? [] : margin.explanations).map(({ sure, text }) => {
    const line = document.createElement("li");
    line.append(element("strong", `${sure} `), text);
    return line;
  }));
}

function element(name, text) {
  const made = document.createElement(name);
  made.textContent = text;
  return made;
}

/** Lists what is in conflict, a line each; what is listed already stays as it is, so that a button does not go away under the pointer. */
export function listConflicts(root, outbox, describe, line) {
  const place = root.querySelector("[data-conflicts]");
  const listed = [...outbox.conflicts].map(([item, theirs]) => `${item.page ?? ""} ${item.id} ${describe(item)} ${JSON.stringify(theirs)}`).join();
  if (place.listed === listed) return;
  place.listed = listed;
  place.hidden = outbox.conflicts.size === 0;
  place.querySelector("[data-list]").replaceChildren(...[...outbox.conflicts].map(([item, theirs]) => {
    const shown = document.createElement("li");
    shown.append(...line(item, theirs));
    return shown;
  }));
}

/** Shows every item in conflict as it stands here and there, with its marks. */
export function showConflicts(root, outbox, settled) {
  listConflicts(root, outbox, (item) => JSON.stringify(copy(item)), (item, theirs) => {
    const there = open(theirs);
    return [element("h3", `Item ${item.id}`), side("Typed here", item, () => outbox.settle(item, true)), side("Saved elsewhere", there, () => {
      restore(item, copy(there));
      outbox.settle(item, false);
      settled(item);
    })];
  });
}

function side(title, item, choose) {
  const shown = document.createElement("div");
  const picture = document.createElement("div");
  const button = element("button", title === "Typed here" ? "Keep what is typed here" : "Take what was saved elsewhere");
  if (isLines(item)) picture.append(...[...item.texts, ...Object.values(item.cells)].map((text) => element("p", text)));
  else picture.innerHTML = draw(item, null);
  button.type = "button";
  button.className = "button";
  button.onclick = choose;
  shown.append(element("p", title), picture, button);
  return shown;
}

// Says on the desk, and on every page of a student, what was typed for them and has not reached the server.
import { forgetKeys, unsentPages } from "./keeping.js";

export function showUnsent(place) {
  const { student, page } = place.dataset;
  const pages = unsentPages().filter((unsent) => (!student || unsent.codes.has(student)) && unsent.at !== page);
  place.hidden = pages.length === 0;
  place.replaceChildren(...pages.map(({ at, codes, title, ids, keys }) => {
    const line = document.createElement("p");
    const link = document.createElement("a");
    link.href = at;
    link.textContent = "Open the page to send them";
    const forget = document.createElement("button");
    forget.type = "button";
    forget.className = "button plain";
    forget.textContent = "Forget them";
    forget.onclick = () => { forgetKeys(keys); showUnsent(place); };
    line.append(`${[...codes].join(", ")}${title ? `, “${title}”` : ""}: ${keys.length === 1 ? "the answer to item" : "the answers to items"} ${[...ids].join(", ")} ${keys.length === 1 ? "is" : "are"} kept in this browser only and not saved yet. `, link, " ", forget);
    return line;
  }));
}

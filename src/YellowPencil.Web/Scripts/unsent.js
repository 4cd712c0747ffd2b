// Says on the desk, and on every page of a student, what was typed for them and has not reached the server.
import { forgetPage, unsentPages } from "./keeping.js";

export function showUnsent(place) {
  const { student, page } = place.dataset;
  const pages = unsentPages().filter((kept) => (!student || kept.code === student) && kept.page !== page);
  place.hidden = pages.length === 0;
  place.replaceChildren(...pages.map(({ page: id, code, title, ids }) => {
    const line = document.createElement("p");
    const link = document.createElement("a");
    link.href = `/pages/${encodeURIComponent(id)}`;
    link.textContent = "Open the page to send them";
    const forget = document.createElement("button");
    forget.type = "button";
    forget.className = "button plain";
    forget.textContent = "Forget them";
    forget.onclick = () => { forgetPage(id); showUnsent(place); };
    line.append(`${code}${title ? `, “${title}”` : ""}: ${ids.length === 1 ? "the answer to item" : "the answers to items"} ${ids.join(", ")} ${ids.length === 1 ? "is" : "are"} kept in this browser only and not saved yet. `, link, " ", forget);
    return line;
  }));
}

// Starts what a page asks for. Everything works from attributes of the page; no script stands in a page.
import Alpine from "./alpine.js";
import { startBoard } from "./board.js";
import { followReading } from "./class-reading.js";
import { startCoverage } from "./coverage.js";
import { startDecimalSign } from "./decimal-sign.js";
import { follow } from "./follow.js";
import { replay } from "./replay.js";
import { startSession } from "./session.js";
import { startTyping } from "./typing.js";
import { showUnsent } from "./unsent.js";
import { editWords } from "./words.js";
import { forgetAll, forgetForm, keepField, unsentPages } from "./keeping.js";

startDecimalSign();

Alpine.data("replay", replay);
Alpine.start();

const typing = document.querySelector("[data-typing]");
if (typing) startTyping(typing);

const board = document.querySelector("[data-board]");
if (board) startBoard(board);

for (const session of document.querySelectorAll("[data-session]")) startSession(session);

const classReading = document.querySelector("[data-class-reading]");
if (classReading) followReading(classReading);

const followed = document.querySelector("[data-follow=true]");
if (followed) follow(followed);

// The browser knows in which zone it is; only a zone that the page offers is put in.
const zone = Intl.DateTimeFormat().resolvedOptions().timeZone?.replaceAll("_", " ");
for (const button of document.querySelectorAll("[data-zone]")) {
  button.hidden = ![...document.querySelectorAll("#zones option")].some((option) => option.value === zone);
  button.addEventListener("click", () => { document.getElementById("zone").value = zone; });
}

// From student to student of a class by the arrows, where nothing else takes them.
const beside = { ArrowLeft: document.querySelector("a[rel=prev]"), ArrowRight: document.querySelector("a[rel=next]") };
document.addEventListener("keydown", (event) => {
  if (event.altKey || event.ctrlKey || event.metaKey || event.shiftKey || event.target.closest("input, textarea, select, details, [role=application]")) return;
  beside[event.key]?.click();
});

for (const taken of document.querySelectorAll("[data-taken]")) forgetForm(taken.dataset.taken);
for (const field of document.querySelectorAll("[data-keep]")) keepField(field);
for (const link of document.querySelectorAll("[data-forget]")) link.addEventListener("click", () => forgetForm(link.dataset.forget));

const items = document.querySelector("[data-covers]");
if (items) startCoverage(items, document.querySelector("[data-coverage]"));

for (const place of document.querySelectorAll("[data-unsent]")) {
  showUnsent(place);
  window.addEventListener("storage", () => showUnsent(place));
}

for (const form of document.querySelectorAll("form[data-sign-out]"))
  form.addEventListener("submit", (event) => {
    const waiting = unsentPages().flatMap((unsent) => unsent.keys).length;
    if (waiting > 0 && !confirm(`${waiting === 1 ? "One item is" : `${waiting} items are`} not saved on the server yet. Signing out removes ${waiting === 1 ? "it" : "them"} from this browser. Sign out all the same?`)) {
      event.preventDefault();
      return;
    }
    forgetAll();
  });

for (const form of document.querySelectorAll("form[data-confirm]"))
  form.addEventListener("submit", (event) => { if (!confirm(form.dataset.confirm)) event.preventDefault(); });

for (const button of document.querySelectorAll("[data-put]"))
  button.addEventListener("click", () => {
    const field = document.getElementById(button.dataset.put);
    field.value = button.dataset.text;
    field.dispatchEvent(new Event("input", { bubbles: true }));
    field.focus();
  });

// A menu closes at Escape, and when something else is clicked.
for (const menu of document.querySelectorAll("details[data-menu]")) {
  menu.addEventListener("keydown", (event) => {
    if (event.key !== "Escape" || !menu.open) return;
    menu.open = false;
    menu.querySelector("summary").focus();
  });
  document.addEventListener("click", (event) => { if (!menu.contains(event.target)) menu.open = false; });
}

const words = document.querySelector("[data-words]");
if (words) editWords(words);

for (const button of document.querySelectorAll("[data-print]")) button.addEventListener("click", () => window.print());

// A plan that was printed leaves the desk; the page then says so, and how to put it back.
const printed = document.querySelector("form[data-printed]:not([hidden])");
if (printed)
  window.addEventListener("afterprint", async () => {
    const answer = await fetch(printed.action, { method: "POST", body: new URLSearchParams(new FormData(printed)) }).catch(() => null);
    if (!answer?.ok) return;
    printed.hidden = true;
    document.querySelector("form[data-unprinted]").hidden = false;
  });

// Starts what a page asks for. Everything works from attributes of the page; no script stands in a page.
import Alpine from "./alpine.js";
import { replay } from "./replay.js";
import { startTyping } from "./typing.js";
import { forgetAll, forgetForm, keepField, unsent } from "./keeping.js";

Alpine.data("replay", replay);
Alpine.start();

const typing = document.querySelector("[data-typing]");
if (typing) startTyping(typing);

for (const taken of document.querySelectorAll("[data-taken]")) forgetForm(taken.dataset.taken);
for (const field of document.querySelectorAll("[data-keep]")) keepField(field);

for (const form of document.querySelectorAll("form[data-sign-out]"))
  form.addEventListener("submit", (event) => {
    const waiting = unsent();
    if (waiting > 0 && !confirm(`${waiting} items are not saved on the server yet. Signing out removes them from this browser. Sign out all the same?`)) {
      event.preventDefault();
      return;
    }
    forgetAll();
  });

for (const button of document.querySelectorAll("[data-print]")) button.addEventListener("click", () => window.print());

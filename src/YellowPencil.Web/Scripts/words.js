// The words of a plan are edited where they stand: the fields of the page of words are put into the places of the sentences.
import { forgetForm, keepField } from "./keeping.js";

/** Opens the fields when the link to the page of words is followed; without a connection the link is followed as it is. */
export function editWords(link) {
  link.addEventListener("click", async (event) => {
    if (event.ctrlKey || event.metaKey || event.shiftKey) return;
    event.preventDefault();
    if (link.hidden) return;
    link.hidden = true;
    link.closest("details")?.removeAttribute("open");
    const answer = await fetch(link.href).catch(() => null);
    const form = answer?.ok ? new DOMParser().parseFromString(await answer.text(), "text/html").querySelector("form.words") : null;
    if (form) open(document.importNode(form, true), link.href);
    else location.href = link.href; // also where somebody has signed out: that page says so
  });
}

function open(form, action) {
  const places = [...document.querySelectorAll("[data-sentence]")];
  for (const place of places) put(place, form);
  for (const row of form.querySelectorAll("p:has(textarea)")) row.hidden = true;
  form.id = "words";
  form.action = action;
  form.className = "wordsbar noprint";
  form.setAttribute("aria-label", "Words of the plan");
  document.querySelector("article.plan").before(form);
  document.querySelector("[data-print]").hidden = true; // what is printed is what is kept
  form.querySelector("[data-forget]").addEventListener("click", (event) => {
    event.preventDefault();
    forgetForm(event.target.dataset.forget);
    location.reload();
  });
  document.querySelector("textarea[form=words]")?.focus();
}

// A field takes the place of its sentence, as high as its text; one that was changed can be put back as it was.
function put(place, form) {
  const field = form.querySelector(`[name="sentence[${place.dataset.sentence}]"]`);
  if (!field) return;
  const before = form.querySelector(`[data-put="${field.id}"]`);
  field.setAttribute("aria-label", form.querySelector(`label[for="${field.id}"]`).textContent.trim());
  field.setAttribute("form", "words");
  field.closest("p").remove();
  place.replaceChildren(field);
  if (before) place.append(before);
  before?.addEventListener("click", () => {
    field.value = before.dataset.text;
    field.dispatchEvent(new Event("input", { bubbles: true }));
    field.focus();
  });
  const fit = () => {
    field.style.height = "auto";
    field.style.height = `${field.scrollHeight + 4}px`;
  };
  keepField(field);
  field.addEventListener("input", fit);
  fit();
}

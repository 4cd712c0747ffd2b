// Beside the items while they are written: what the sheet can and cannot tell.
const QUIET = 300; // milliseconds after the last key

export function startCoverage(field, place) {
  let timer = 0, asked = 0;

  async function ask() {
    const mine = ++asked;
    const answer = await fetch("/api/coverage", { method: "POST", body: field.value }).catch(() => null);
    if (!answer?.ok || mine !== asked) return;
    show(await answer.json());
  }

  function show(told) {
    place.querySelector("[data-coverage-text]").textContent = told.text;
    for (const name of ["never", "once", "together"]) {
      const part = place.querySelector(`[data-coverage-${name}]`);
      const { text = "", names = [] } = told[name] ?? {};
      part.hidden = names.length === 0;
      part.querySelector("summary").textContent = text;
      part.querySelector("ul").replaceChildren(...names.map((line) => Object.assign(document.createElement("li"), { textContent: line })));
    }
  }

  field.addEventListener("input", () => {
    clearTimeout(timer);
    timer = setTimeout(ask, QUIET);
  });
  if (field.value.trim() !== "") ask();
}

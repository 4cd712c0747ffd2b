// Follows the reading of a class: how far it is, stopping it and going on; shows the result where the hand is when there is more of it.
const LOOK_AGAIN = 700; // milliseconds between looks

export function followReading(root) {
  const address = `/api/class-sheets/${root.dataset.classReading}`;
  const stop = root.querySelector("[data-stop]");

  async function show(state) {
    if (state.read === Number(root.dataset.read) && state.of === Number(root.dataset.of) && state.byItself === (root.dataset.byItself === "true")) return later(state);
    if (state.byItself && state.read < state.of) {
      const bar = root.querySelector("progress");
      if (bar) bar.value = state.read;
      root.querySelector("[data-progress]").textContent = `${state.read} of ${state.of} typed pages read`;
      return later(state);
    }
    const page = await fetch(location.pathname).catch(() => null);
    if (!page?.ok) return later(state);
    const fresh = new DOMParser().parseFromString(await page.text(), "text/html").querySelector("[data-class-reading]");
    root.replaceWith(fresh);
    followReading(fresh);
  }

  function later(state) {
    if (state.byItself && state.read < state.of) setTimeout(look, LOOK_AGAIN);
  }

  async function look() {
    const answer = await fetch(`${address}/state`).catch(() => null);
    if (answer?.ok) show(await answer.json());
    else setTimeout(look, LOOK_AGAIN);
  }

  stop?.addEventListener("click", async () => {
    const answer = await fetch(`${address}/by-itself`, { method: "PUT", headers: { "X-Antiforgery": root.dataset.token }, body: String(root.dataset.byItself !== "true") }).catch(() => null);
    if (answer?.ok) show(await answer.json());
  });
  if (root.dataset.byItself === "true" && Number(root.dataset.read) < Number(root.dataset.of)) setTimeout(look, LOOK_AGAIN);
}

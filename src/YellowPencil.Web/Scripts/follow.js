// Shows a page anew while something behind it is going on: what is marked is replaced where it changed, and the hand stays where it was.
const LOOK_AGAIN = 700; // milliseconds between looks

export function follow(root) {
  setTimeout(async () => {
    const page = await fetch(location.pathname).catch(() => null);
    if (!page?.ok) return follow(root);
    const fresh = new DOMParser().parseFromString(await page.text(), "text/html").querySelector("[data-follow]");
    if (!fresh) return location.reload();
    const [status, now] = [root, fresh].map((one) => one.querySelector("[role=status]"));
    if (status && now) status.textContent = now.textContent;
    // A form that somebody is about to press is not taken from under the finger.
    if (fresh.dataset.follow === "true" && fresh.querySelectorAll("form").length === root.querySelectorAll("form").length) return follow(root);
    const hadHand = root.contains(document.activeElement);
    root.replaceWith(fresh);
    if (hadHand) fresh.querySelector("button")?.focus();
    if (fresh.dataset.follow === "true") follow(fresh);
  }, LOOK_AGAIN);
}

// Ticking a session with one thumb, or those of a group on one page. What is ticked is kept in the browser at once and sent when there is a connection;
// all of a session is one item.
import { Outbox } from "./outbox.js";

const KEYS = { 1: "right", 2: "old", 3: "other", h: "helped", c: "checked" };

export function startSession(root) {
  const session = JSON.parse(root.dataset.session);
  const all = [...document.querySelectorAll("[data-tick]")];
  const rows = all.filter((row) => row.dataset.of === session.page);
  const [state, conflict] = ["state", "conflict"].map((name) => document.querySelector(`[data-${name}="${session.page}"]`));
  const find = (name) => root.querySelector(`[data-${name}]`);
  const fields = { said: find("said"), changed: find("changed"), overruled: find("overruled") };
  const outbox = new Outbox([session], root.dataset.token, {
    written: ({ ticks, said, changed, overruled }) => ({ ticks, said, changed, overruled: overruled || null, at: location.pathname }),
    take: (item, before) => before.ticks !== undefined && (take(before), true),
    names: () => `The session of ${session.code}`,
    address: () => `/api/sessions/${session.page}`,
    pack: (sent) => sent[0]?.text ?? JSON.stringify({ version: session.version, ticks: session.ticks, said: session.said, changed: session.changed, overruled: session.overruled || null }),
    unpack: (reply) => [reply],
  }, { changed: showState, heard: (reply) => Object.assign(session, { next: reply.session.next, because: reply.session.because }) && show() });

  function take(from) {
    for (const name of ["ticks", "said", "changed", "overruled"]) session[name] = from[name] ?? (name === "ticks" ? {} : "");
    for (const [name, field] of Object.entries(fields)) field.value = session[name] ?? "";
    show();
  }

  function tick(row, what) {
    const name = row.dataset.tick;
    const now = { answer: null, helped: false, checked: false, ...session.ticks[name] };
    if (what === "helped" || what === "checked") {
      if (!row.querySelector(`[data-flag="${what}"]`)) return false;
      now[what] = !now[what];
    } else {
      if (!row.querySelector(`[data-answer="${what}"]`)) return false;
      now.answer = now.answer === what ? null : what;
    }
    session.ticks = { ...session.ticks, [name]: now };
    if (now.answer === null && !now.helped && !now.checked) delete session.ticks[name];
    show();
    outbox.changed(session);
    return true;
  }

  function show() {
    for (const row of rows) {
      const now = session.ticks[row.dataset.tick] ?? {};
      for (const button of row.querySelectorAll("[data-answer]")) button.setAttribute("aria-pressed", String(now.answer === button.dataset.answer));
      for (const button of row.querySelectorAll("[data-flag]")) button.setAttribute("aria-pressed", String(now[button.dataset.flag] === true));
    }
    find("next").textContent = session.next;
    find("because").textContent = session.because;
  }

  function showState() {
    state.textContent = outbox.state;
    state.classList.toggle("trouble", !outbox.isSettled && outbox.state !== "Saving…");
    conflict.hidden = outbox.conflicts.size === 0;
  }

  for (const row of rows) {
    row.addEventListener("click", (event) => {
      const button = event.target.closest("button");
      if (button) tick(row, button.dataset.answer ?? button.dataset.flag);
    });
    row.addEventListener("keydown", (event) => {
      if (event.ctrlKey || event.metaKey || event.altKey) return;
      const at = all.indexOf(row);
      if (event.key === "ArrowDown" || event.key === "ArrowUp") go(at + (event.key === "ArrowDown" ? 1 : -1));
      else if (!KEYS[event.key]) return;
      else if (tick(row, KEYS[event.key]) && ["1", "2", "3"].includes(event.key)) go(at + 1); // From paper: the hand goes on to the next item by itself.
      event.preventDefault();
    });
  }

  function go(at) { all[Math.max(0, Math.min(all.length - 1, at))].querySelector("button").focus(); }

  for (const [name, field] of Object.entries(fields))
    field.addEventListener("input", () => {
      session[name] = field.value;
      outbox.changed(session);
    });
  conflict.querySelector("[data-mine]").addEventListener("click", () => outbox.settle(session, true));
  conflict.querySelector("[data-theirs]").addEventListener("click", () => {
    const theirs = outbox.conflicts.get(session);
    outbox.settle(session, false);
    take(theirs);
  });
  take(session);
  outbox.restore();
  if (outbox.waiting.size > 0) outbox.send();
  showState();
  window.addEventListener("beforeunload", (event) => { if (!outbox.isSettled && !outbox.isKept) event.preventDefault(); });
}

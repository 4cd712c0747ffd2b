// Sends changed items to the server and shows how that stands. One request at a time; what is not acknowledged stays in local
// storage with the version it was typed on, and is sent again when the connection is back.
import { forget, keep, kept } from "./keeping.js";

const QUIET = 40; // milliseconds after the last key before sending
const RETRY = 3000; // milliseconds between tries without a connection

export class Outbox {
  constructor(root, pageId, items, { written, take, typing }) {
    Object.assign(this, { root, pageId, items, written, take, typing, waiting: new Set(), busy: false, timer: 0 });
    this.status = root.querySelector("[data-saving]");
    this.conflict = root.querySelector("[data-conflict]");
    this.token = root.dataset.token;
    window.addEventListener("online", () => this.send());
  }

  /** Takes back what an earlier visit typed and could not send. */
  restore() {
    for (const item of this.items) {
      const before = kept(this.key(item));
      if (before === null) continue;
      this.take(item, before);
      item.version = before.version;
      this.waiting.add(item);
    }
  }

  /** Asks for the reading so far, when the hand has gone to another item. */
  refresh() {
    clearTimeout(this.timer);
    this.timer = setTimeout(() => this.send(), QUIET);
  }

  key(item) { return `item:${this.pageId}:${item.id}`; }

  changed(item) {
    keep(this.key(item), { version: item.version, ...this.written(item) });
    this.waiting.add(item);
    this.status.textContent = "Saving…";
    clearTimeout(this.timer);
    this.timer = setTimeout(() => this.send(), QUIET);
  }

  async send() {
    clearTimeout(this.timer);
    this.timer = 0;
    if (this.busy) {
      this.again = true;
      return;
    }
    this.busy = true;
    this.again = false;
    const sent = [...this.waiting].map((item) => ({ item, text: JSON.stringify({ id: item.id, version: item.version, ...this.written(item) }) }));
    this.waiting.clear();
    try {
      const answer = await fetch(`/api/pages/${this.pageId}/items?typing=${encodeURIComponent(this.typing())}`, {
        method: "PUT",
        headers: { "content-type": "application/json", "X-Antiforgery": this.token },
        body: `[${sent.map((s) => s.text).join(",")}]`,
      });
      if (answer.ok) this.acknowledge(sent, await answer.json());
      else await this.refuse(sent, answer);
    } catch {
      this.hold(sent, "Not connected. What you type is kept in this browser and sent when the connection is back.");
    }
    this.busy = false;
    if (this.again) this.refresh();
  }

  acknowledge(sent, { versions, conflicts, margin }) {
    for (const { item, text } of sent) {
      if (versions[item.id] === undefined) continue;
      const now = JSON.stringify({ id: item.id, version: item.version, ...this.written(item) });
      item.version = versions[item.id];
      if (now === text) forget(this.key(item));
      else keep(this.key(item), { version: item.version, ...this.written(item) });
    }
    this.status.textContent = this.waiting.size > 0 ? "Saving…" : "Saved.";
    if (conflicts.length > 0) this.showConflict(conflicts[0]);
    this.showMargin(margin);
  }

  async refuse(sent, answer) {
    if (answer.status === 401) return this.hold(sent, "You are signed out. What you typed is kept in this browser: sign in again in another tab, then come back here.");
    if (answer.status >= 500) return this.hold(sent, "The server could not save. What you typed is kept in this browser and sent again.");
    const fault = await answer.json().catch(() => ({ message: "This page cannot be saved." }));
    this.status.textContent = fault.message;
  }

  hold(sent, message) {
    for (const { item } of sent) this.waiting.add(item);
    this.status.textContent = message;
    this.timer = setTimeout(() => this.send(), RETRY);
  }

  showConflict({ id, version, answer }) {
    const item = this.items.find((i) => i.id === id);
    this.conflict.hidden = false;
    this.conflict.querySelector("[data-what]").textContent =
      `Item ${id} was changed in another tab. There it says ${answer ?? "nothing"}, here ${this.written(item).answer ?? "nothing"}.`;
    this.conflict.querySelector("[data-mine]").onclick = () => { item.version = version; this.conflict.hidden = true; this.changed(item); };
    this.conflict.querySelector("[data-theirs]").onclick = () => { forget(this.key(item)); location.reload(); };
  }

  showMargin(margin) {
    const place = (name) => this.root.querySelector(`[data-margin-${name}]`);
    place("outcome").textContent = margin.typed === 0 ? "Nothing typed yet." : margin.outcome;
    place("count").textContent = `${margin.typed} of ${margin.of} items typed${margin.enough && margin.typed > 0 ? ": enough to know." : "."}`;
    place("list").replaceChildren(...(margin.typed === 0 ? [] : margin.explanations).map(({ sure, text }) => {
      const line = document.createElement("li");
      const share = document.createElement("strong");
      share.textContent = `${sure} `;
      line.append(share, text);
      return line;
    }));
  }
}

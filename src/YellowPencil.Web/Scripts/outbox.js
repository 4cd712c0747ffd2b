// What was typed and has to reach the server. One request at a time; what is not acknowledged stays in local storage
// with the version it was typed on, and is sent again when the connection is back: first as it was sent before, as the answer to that may have been
// lost on the way, then as it is now. An item that the server refuses, or that was changed elsewhere, holds back nothing but itself.
import { forget, keep, kept } from "./keeping.js";

const QUIET = 40; // milliseconds after the last key before sending
const RETRY = 2000; // milliseconds between tries without a connection
const PATIENCE = 30_000; // milliseconds after which a request that was not answered is given up and sent again

/**
 * The items belong to pages: each has page, code, title, id, version, and a name for messages. `mail` says how they are written and sent:
 * written(item) is what was typed, take(item, kept) puts it back, address() and pack(list) make the request, and unpack(reply) gives for every
 * page { page, versions, conflicts, refused }.
 */
export class Outbox {
  constructor(items, token, mail, { changed, heard }) {
    Object.assign(this, { items, token, mail, tell: changed, heard, isKept: true, waiting: new Set(), refused: new Map(), conflicts: new Map(), unanswered: new Map(), trouble: null, busy: false, timer: 0 });
    this.byKey = new Map(items.map((item) => [this.key(item), item]));
    window.addEventListener("online", () => this.send());
  }

  /** Takes back what an earlier visit typed and could not send. */
  restore() {
    for (const item of this.items) {
      const before = kept(this.key(item));
      if (before === null || !this.mail.take(item, before)) continue; // nothing, or what another page or version kept in another shape
      item.version = before.version;
      if (before.sent) this.unanswered.set(item, before.sent);
      this.waiting.add(item);
    }
  }

  /** Whether everything typed has been acknowledged. */
  get isSettled() { return !this.busy && this.waiting.size === 0 && this.refused.size === 0 && this.conflicts.size === 0; }

  /** How the saving stands, in a sentence. */
  get state() {
    const faults = [...this.refused].map(([item, message]) => `${item.name} is not saved: ${message}.`);
    if (this.conflicts.size > 0) faults.unshift(`${this.names(this.conflicts.keys())} changed in another tab: choose what stands.`);
    if (this.trouble) faults.unshift([this.trouble.what, this.isKept ? "What you typed is kept in this browser." : "", this.trouble.then].filter((sentence) => sentence).join(" "));
    if (!this.isKept && !this.isSettled) faults.unshift("This browser has no room to keep what you type: leave the page open until it says “Saved.”");
    if (faults.length > 0) return faults.length > 3 ? `${faults.slice(0, 3).join(" ")} And ${faults.length - 3} more.` : faults.join(" ");
    return this.busy || this.waiting.size > 0 ? "Saving…" : "Saved.";
  }

  /** The items that are not acknowledged, such as "Items 3, 4". */
  get unsettled() { return this.names(new Set([...this.waiting, ...(this.busy ? this.underWay ?? [] : []), ...this.refused.keys(), ...this.conflicts.keys()])); }

  names(items) { return this.mail.names([...items]); }

  /** Asks for the reading so far, when the hand has gone to another item. */
  refresh() {
    clearTimeout(this.timer);
    this.timer = setTimeout(() => this.send(), QUIET);
  }

  key(item) { return `item:${item.page}:${item.id}`; }

  keep(item) { this.isKept = keep(this.key(item), { version: item.version, code: item.code, title: item.title, ...this.mail.written(item), sent: this.unanswered.get(item) }); }

  changed(item) {
    this.refused.delete(item);
    if (!this.conflicts.has(item)) this.waiting.add(item);
    this.keep(item);
    this.tell();
    this.refresh();
  }

  text(item) { return JSON.stringify({ id: item.id, version: item.version, ...this.mail.written(item) }); }

  async send() {
    clearTimeout(this.timer);
    this.timer = 0;
    if (this.busy) {
      this.again = true;
      return;
    }
    this.busy = true;
    this.again = false;
    const sent = [...this.waiting].map((item) => ({ item, text: this.unanswered.get(item) ?? this.text(item) }));
    this.underWay = sent.map((s) => s.item);
    this.waiting.clear();

    // What is on its way is kept as it was sent: when the page is left before the answer comes, the next visit asks with it first.
    this.keepAsSent(sent, true);
    try {
      const answer = await this.put(sent);
      this.keepAsSent(sent, false);
      this.trouble = null;
      if (answer.ok) this.acknowledge(sent, await answer.json());
      else await this.hold(sent, answer);
    } catch {
      this.keepAsSent(sent, true);
      this.later(sent, "Not connected.", "It is sent when the connection is back.");
    }
    this.busy = false;
    this.tell();
    if (this.again) this.refresh();
  }

  keepAsSent(sent, isUnanswered) {
    for (const { item, text } of sent) {
      if (isUnanswered) this.unanswered.set(item, text);
      else this.unanswered.delete(item);
      this.keep(item);
    }
  }

  async put(sent) {
    const request = () => fetch(this.mail.address(), { method: "PUT", headers: { "content-type": "application/json", "X-Antiforgery": this.token }, body: this.mail.pack(sent), signal: AbortSignal.timeout(PATIENCE) });
    const answer = await request();
    if (answer.status !== 400 && answer.status !== 401) return answer;

    // The form has expired, or somebody has signed in again in another tab: with a new token the page goes on by itself.
    const fresh = await fetch("/api/token");
    if (!fresh.ok) return fresh;
    this.token = (await fresh.json()).token;
    return request();
  }

  acknowledge(sent, reply) {
    const pages = this.mail.unpack(reply);
    const versions = new Map(pages.flatMap(({ page, versions: ofPage }) => Object.entries(ofPage).map(([id, version]) => [this.key({ page, id }), version])));
    for (const { item, text } of sent) {
      const version = versions.get(this.key(item));
      if (version === undefined) continue;
      const isAsSent = this.text(item) === text;
      item.version = version;
      if (isAsSent) {
        forget(this.key(item));
        continue;
      }
      this.keep(item);
      this.waiting.add(item);
      this.again = true;
    }
    for (const { page, conflicts, refused } of pages) {
      for (const theirs of conflicts) this.conflicts.set(this.find(page, theirs.id), theirs);
      for (const { id, message } of refused) if (!this.waiting.has(this.find(page, id))) this.refused.set(this.find(page, id), message);
    }
    this.heard(reply);
  }

  find(page, id) { return this.byKey.get(this.key({ page, id })); }

  async hold(sent, answer) {
    if (answer.status === 401) return this.later(sent, "You are signed out.", "Sign in again in another tab, and this page goes on by itself.");
    if (answer.status === 404) return this.later(sent, "The page is not among your files: it was thrown away, or somebody else is signed in.");
    if (answer.status >= 500) return this.later(sent, "The server could not save.", "It is sent again.");
    const fault = await answer.json().catch(() => ({ message: "This page cannot be saved." }));
    for (const { item } of sent) this.refused.set(item, fault.message);
  }

  later(sent, what, then = "") {
    for (const { item } of sent) this.waiting.add(item);
    this.trouble = { what, then };
    clearTimeout(this.timer);
    this.timer = setTimeout(() => this.send(), RETRY);
  }

  /** Settles a conflict: what is typed here stands, or what was saved elsewhere. */
  settle(item, isMine) {
    const theirs = this.conflicts.get(item);
    this.conflicts.delete(item);
    item.version = theirs.version;
    if (isMine) this.changed(item);
    else forget(this.key(item));
    this.tell();
    this.refresh();
  }

  /** Waits until everything is acknowledged, so long as nothing stands in the way; whether it is. */
  async settleDown(patience = 10000) {
    this.send();
    for (const until = Date.now() + patience; !this.isSettled && Date.now() < until && !this.trouble && this.refused.size === 0 && this.conflicts.size === 0;) await new Promise((wake) => setTimeout(wake, 50));
    return this.isSettled;
  }
}

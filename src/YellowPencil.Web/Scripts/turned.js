// Asks about answers that make sense only from the other side: they were probably typed in the wrong direction. About one item, or about all of the page.
import { answerOf } from "./working.js";

export class TurnedAnswers {
  /** `turn(items, isPage)` turns answers round; `leave(isPage)` hears that the paper shows them so. */
  constructor(root, items, { turn, leave }) {
    Object.assign(this, { items, told: new Map(), page: null, find: (name) => root.querySelector(`[data-${name}]`) });
    this.find("turn").addEventListener("click", () => turn(this.asked, this.page !== null));
    this.find("leave").addEventListener("click", () => {
      for (const item of this.asked) this.told.delete(item.id);
      leave(this.page !== null);
      this.show();
    });
  }

  /** What the reading of the page says of it: the answers, and the sentence that asks about all of them at once, or null. */
  take({ turned, wholePage }) {
    this.told = new Map(turned.map((t) => [t.id, t]));
    this.page = wholePage;
    this.show();
  }

  /** The items that are asked about, as long as what was told of them still stands there. */
  get asked() {
    const wrong = this.items.filter((item) => this.told.has(item.id) && answerOf(item) === this.told.get(item.id).answer);
    return this.page === null ? wrong.slice(0, 1) : wrong;
  }

  show() {
    const [first] = this.asked;
    this.find("turned").hidden = first === undefined;
    if (first === undefined) return;
    const { answer, other } = this.told.get(first.id);
    this.find("turned-text").textContent = this.page ?? `Item ${first.id} reads ${answer}. Typed from the other side it would be ${other}.`;
    this.find("turn").textContent = this.page === null ? "Turn it round" : "Turn the page round";
    this.find("leave").textContent = this.page === null ? "It is written so" : "The paper shows them so";
  }
}

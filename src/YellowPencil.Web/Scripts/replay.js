// Goes through the frames of a replay with the arrow keys or the buttons.
import { keep, kept } from "./keeping.js";
const MOVING = { duration: 450, easing: "ease-in-out" }; // milliseconds in which the signs of a new line come to their places
const MODEL = "pencil-model"; // whether models were shown last; of no student, and kept at sign-out

export function replay() {
  return {
    at: 0,
    count: 0,
    isModelled: kept(MODEL) === "shown",
    init() {
      this.count = Number(this.$root.dataset.frames);
      this.show();
      window.addEventListener("keydown", (event) => this.press(event));
    },
    press(event) {
      if (event.altKey || event.ctrlKey || event.metaKey || event.shiftKey || event.target.matches("input, textarea, select")) return;
      const act = { ArrowLeft: this.back, ArrowRight: this.on, Home: this.first, End: this.last, m: this.turn, M: this.turn }[event.key];
      if (!act) return;
      act.call(this);
      event.preventDefault();
    },
    back() { this.at = Math.max(0, this.at - 1); this.show(); },
    on() {
      const before = this.at;
      this.at = Math.min(this.count - 1, this.at + 1);
      this.show();
      if (this.at > before) this.move();
    },
    first() { this.at = 0; this.show(); },
    last() { this.at = this.count - 1; this.show(); },
    where() { return `Step ${this.at + 1} of ${this.count}`; },
    modelled() { return String(this.isModelled); },
    turn() {
      this.isModelled = !this.isModelled;
      keep(MODEL, this.isModelled ? "shown" : "hidden");
      this.show();
    },
    /** Has the signs of a line that is new come from where they stood in the line before. */
    move() {
      if (matchMedia("(prefers-reduced-motion: reduce)").matches) return;
      for (const side of this.$root.querySelectorAll("[data-side]")) {
        const frames = [...side.querySelectorAll(".frame")], now = frames[this.at], before = frames[this.at - 1];
        if (!now || now.innerHTML === before.innerHTML) continue;
        for (const sign of now.querySelectorAll("[data-from]")) {
          const [x, y] = sign.dataset.from.split(" ");
          sign.animate([{ transform: `translate(${x}px, ${y}px)` }, { transform: "none" }], MOVING);
        }
        for (const sign of now.querySelectorAll("[data-new]")) sign.animate([{ opacity: 0 }, { opacity: 0, offset: 0.5 }, { opacity: 1 }], MOVING);
      }
    },
    show() {
      this.$root.classList.toggle("modelled", this.isModelled);
      for (const model of this.$root.querySelectorAll("[data-model]")) model.hidden = !this.isModelled;
      for (const side of this.$root.querySelectorAll("[data-side]")) {
        const frames = [...side.querySelectorAll(".frame")];
        frames.forEach((frame, i) => { frame.hidden = i !== Math.min(this.at, frames.length - 1); });
      }
    },
  };
}

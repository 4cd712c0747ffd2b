// The hand that writes in lines: what keys do in a line and in the cells beside it, over the items of a page that stand in lines.
import { BesideFields, isLines, LineFields, struckOrNot } from "./lines.js";

const swap = (lines, one, other) => { if (one >= 0 && other >= 0 && one < lines.length && other < lines.length) [lines[one], lines[other]] = [lines[other], lines[one]]; };

export class LineHand {
  /**
   * `page` is what the hand needs of the page: change(index, edit) does something to an item, arrive(index) says that the hand has come to it, goTo(index)
   * takes it there, nextItem() to the next one, and act(name) undoes, does again, or shows the keys.
   */
  constructor(items, slots, page) {
    Object.assign(this, { items, page, line: 0 });
    this.fields = items.map((item, index) => isLines(item) && new LineFields(item, slots[index], {
      typed: (line, text) => this.write(index, (lines) => { lines[line] = text; }),
      key: (event, line, field) => this.lineKey(index, event, line, field),
      focused: (line) => this.arrive(index, line),
    }));
    this.beside = items.map((item, index) => isLines(item) && new BesideFields(item, slots[index], {
      typed: (cell, text) => page.change(index, (changed) => { changed.cells[cell] = text; }),
      meant: page.meant,
      act: page.act,
      leave: () => this.fields[index].focus(),
      focused: () => this.arrive(index, this.line),
    }));
  }

  render(index) {
    this.fields[index].render();
    this.beside[index].render();
  }

  /** Puts the hand into a line; where it is in a cell beside it, it stays. */
  focus(index, line) {
    if (!this.beside[index].hasHand) this.fields[index].focus(line);
  }

  arrive(index, line) {
    this.line = line;
    this.page.arrive(index);
  }

  write(index, edit) {
    this.page.change(index, (item) => {
      if (item.texts.length === 0) item.texts.push("");
      edit(item.texts);
    });
  }

  /** What a key does in a line; false where the field takes it. */
  lineKey(index, event, line, field) {
    const meaning = this.page.meant(event), last = Math.max(0, this.items[index].texts.length - 1);
    const edit = (to, change) => { this.write(index, change); this.fields[index].focus(to); };
    if (meaning === "undo" || meaning === "redo") this.page.act(meaning);
    else if (event.altKey && event.key.toLowerCase() === "o") edit(line, (lines) => { lines[line] = struckOrNot(lines[line]); });
    else if (event.altKey && this.beside[index].byKey(event.key)) return true;
    else if (event.altKey && event.key === "ArrowUp") edit(line - 1, (lines) => swap(lines, line, line - 1));
    else if (event.altKey && event.key === "ArrowDown") edit(Math.min(line + 1, last), (lines) => swap(lines, line, line + 1));
    else if (event.ctrlKey && event.key === "Enter") edit(line, (lines) => lines.splice(line, 0, ""));
    else if (event.ctrlKey && event.key.toLowerCase() === "d") edit(line + 1, (lines) => lines.splice(line + 1, 0, lines[line]));
    else if (event.key === "Enter" && event.shiftKey) this.page.goTo(index - 1);
    else if (event.key === "Enter") this.enter(index, line, field);
    else if (event.key === "ArrowUp") { if (line > 0) this.fields[index].focus(line - 1); else this.page.goTo(index - 1); }
    else if (event.key === "ArrowDown") { if (line < last) this.fields[index].focus(line + 1); else this.page.nextItem(); }
    else if (event.key === "ArrowRight" && this.fields[index].takeStays(field)) { /* the field has it */ }
    else if (event.key === "Backspace" && field.value === "" && last > 0) edit(Math.max(0, line - 1), (lines) => lines.splice(line, 1));
    else return false;
    event.stopPropagation();
    return true;
  }

  // Enter goes to a new line below; from one that is still empty, to the next item.
  enter(index, line, field) {
    if (field.value.trim() !== "") {
      this.write(index, (lines) => lines.splice(line + 1, 0, ""));
      this.fields[index].focus(line + 1);
      return;
    }
    if (this.items[index].texts.length > 1) this.write(index, (lines) => lines.splice(line, 1));
    this.page.nextItem();
  }

  /** Keys for mouse and touch; those of the keyboard go into the fields by themselves. */
  press(index, key) {
    const fields = this.fields[index], item = this.items[index];
    if (key === "Enter") this.enter(index, this.line, fields.list.children[Math.min(this.line, fields.list.children.length - 1)].querySelector("input"));
    else if (key === "undo" || key === "redo" || key === "?" || key === "l") this.page.act(key);
    else if (key === "ArrowUp" || key === "ArrowDown") fields.focus(this.line + (key === "ArrowUp" ? -1 : 1));
    else if (key === "Backspace") fields.insert("");
    else if (key === "letter") fields.insert(item.letter);
    else if (key === "strike") {
      this.write(index, (lines) => { lines[this.line] = struckOrNot(lines[this.line] ?? ""); });
      fields.focus(this.line);
    }
    else if (key === "u") this.write(index, (lines) => lines.splice(lines.length - 1, 1, "?"));
    else if (key.length === 1 || key === "sqrt(") fields.insert(key);
    return true;
  }
}

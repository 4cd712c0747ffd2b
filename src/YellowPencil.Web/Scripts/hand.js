// The hand that writes: in which strip and square it is, and what a key does there. It knows squares and strips, and no family.
import { answerStrip, shift, squaresOf, stripOf } from "./working.js";

const PLACES = ["ones", "tens", "hundreds", "thousands", "ten thousands", "hundred thousands", "millions"];
const PARTS = ["tenths", "hundredths", "thousandths", "ten thousandths"];
const placeName = (place) => (place >= 0 ? PLACES[place] : PARTS[-1 - place]) ?? (place >= 0 ? `column ${place + 1}` : `column ${-place} behind the point`);
const isMarks = (strip) => strip.kind === "Places" && strip.strikes === undefined; // carries: they come from the right, whatever the hand does
const isNote = (strip) => strip.kind === "Note" || (strip.kind === "Answer" && strip.fromLeft && !strip.byPoint);

export class Hand {
  constructor(fromLeft) {
    Object.assign(this, { fromLeft, strip: null, column: 0, after: false, joins: false });
  }

  get position() { return { strip: this.strip.id, column: this.column, after: this.after }; }

  get caret() { return { strip: this.strip.id, column: this.column, after: this.after, fromLeft: this.fromLeft }; }

  /** Where it is, for a screen reader. */
  get where() {
    const place = placeName(this.column - this.strip.ones);
    return this.strip.kind === "Answer" ? `at the ${place}` : this.strip.strikes !== undefined ? `over the ${place}` : isNote(this.strip) ? `at ${this.strip.name}` : `at ${this.strip.name}, ${place}`;
  }

  get comesFromLeft() { return !isMarks(this.strip) && (this.strip.fromLeft === true || this.fromLeft); }

  take(item, { strip, column, after }) {
    Object.assign(this, { strip: stripOf(item, strip), column, after, joins: false });
    if (this.strip.kind !== "Answer") this.column = this.within(column);
  }

  within(column) { return Math.max(this.strip.right, Math.min(column, this.strip.left)); }

  /** To where the answer begins: behind its last digit from the left, at the first empty square from the right. */
  toStart(item) {
    this.strip = answerStrip(item);
    this.joins = false;
    const squares = squaresOf(item, this.strip.id);
    if (isNote(this.strip)) {
      Object.assign(this, { column: this.strip.left, after: false });
      while (squares.has(this.column) && this.column > this.strip.right) this.column--;
    } else if (this.comesFromLeft) {
      const last = Math.min(...squares.keys(), this.strip.byPoint ? this.strip.ones : this.strip.right);
      Object.assign(this, { column: last, after: true });
    } else {
      Object.assign(this, { column: this.strip.right, after: false });
      while (squares.has(this.column)) this.column++;
    }
  }

  // Writing.

  /** Writes a digit or a sign; says what is wrong where it cannot. */
  write(item, key) {
    const squares = squaresOf(item, this.strip.id);
    if (this.strip.kind === "Answer") item.unreadable = false;
    if (this.strip.small && !isMarks(this.strip)) return this.writeSmall(squares, key);
    if (this.joins) return this.beside(squares, key);
    if (key === ".") return this.point(item, squares);
    if (isNote(this.strip)) {
      squares.set(this.column, key);
      if (this.column > this.strip.right) this.column--;
    } else if (!this.comesFromLeft) {
      squares.set(this.column, squares.get(this.column) === "." ? `${key}.` : key);
      this.column = this.strip.kind === "Answer" ? this.column + 1 : this.within(this.column + 1);
    } else if ("r/".includes(key) && this.after) {
      this.column = Math.max(this.strip.right, this.column - (squares.has(this.column) ? 1 : 0));
      squares.set(this.column, key);
      this.behind();
    } else if (this.after) {
      this.makeRoom(item);
      squaresOf(item, this.strip.id).set(this.column, key);
    } else {
      squares.set(this.column, key);
      if (this.column > this.lastFromLeft(squares)) this.column--;
      else this.after = true;
    }
  }

  // From the left a text grows to the left of where it ends; behind a point or a sign it goes on to the right.
  lastFromLeft(squares) {
    const stands = [...squares.values()].some((text) => /[.r/]/.test(text));
    return this.strip.byPoint && !stands ? this.strip.ones : this.strip.right;
  }

  behind() {
    if (this.column > this.strip.right) Object.assign(this, { column: this.column - 1, after: false });
    else this.after = true;
  }

  // What stands up to the column goes one square to the left.
  makeRoom(item) { shift(item, this.strip.id, 1, this.column); }

  writeSmall(squares, key) {
    const before = squares.get(this.column) ?? "";
    if (before.length === 2) return "A new value has one or two digits; ↑ strikes it out for another.";
    squares.set(this.column, before + key);
  }

  /** Puts a digit into the square that was written last, on the side from which digits come. */
  beside(squares, key) {
    this.joins = false;
    const last = this.comesFromLeft ? (this.after ? this.column : this.column + 1) : this.column - 1;
    if (!squares.has(last)) squares.set(this.column, key);
    else squares.set(last, this.comesFromLeft || isMarks(this.strip) ? squares.get(last) + key : key + squares.get(last));
  }

  /** The point: behind the digit before it from the left, behind the digit to come from the right; there the digits so far go behind the ones. */
  point(item, squares) {
    if ([...squares.values()].some((text) => text.includes("."))) return "A point stands there already.";
    if (this.comesFromLeft) {
      const at = this.after || isNote(this.strip) ? this.column : this.column + 1;
      squares.set(at, `${squares.get(at) ?? ""}.`);
      this.column = at;
      if (this.strip.byPoint || isNote(this.strip)) this.behind();
      else this.after = true;
      return undefined;
    }
    if (this.strip.byPoint && this.column !== this.strip.ones) {
      shift(item, this.strip.id, this.strip.ones - this.column);
      this.column = this.strip.ones;
    }
    squaresOf(item, this.strip.id).set(this.column, ".");
    return undefined;
  }

  /** The next digit goes into the square that was written last. */
  join() { this.joins = (!this.strip.small || isMarks(this.strip)) && !isNote(this.strip); }

  erase(item) {
    const squares = squaresOf(item, this.strip.id);
    this.joins = false;
    if (this.strip.kind === "Answer" && item.unreadable) {
      item.unreadable = false;
      return;
    }
    if (this.strip.small && !isMarks(this.strip)) {
      this.shorten(squares, this.column, true);
      return;
    }
    const from = this.comesFromLeft && !this.after ? 1 : !this.comesFromLeft ? -1 : 0;
    const at = squares.has(this.column) ? this.column : this.column + from;
    const wasLong = (squares.get(at) ?? "").length > 1;
    this.shorten(squares, at, this.comesFromLeft);
    if (wasLong) return;
    if (this.after) this.closeUp(item);
    else this.column = Math.max(this.strip.right, at);
    if (squares.size === 0 && this.strip.kind === "Answer") this.toStart(item);
  }

  shorten(squares, at, fromEnd) {
    const text = squares.get(at) ?? "";
    if (text.length > 1) squares.set(at, fromEnd ? text.slice(0, -1) : text.slice(1));
    else squares.delete(at);
  }

  // What stands to the left of the square that was emptied comes back to it; behind a point the hand goes to the left instead.
  closeUp(item) {
    const squares = squaresOf(item, this.strip.id);
    if (this.column < this.strip.ones && this.strip.byPoint) {
      this.column++;
      return;
    }
    shift(item, this.strip.id, -1, this.column + 1);
  }

  /** Empties the square, or all squares struck out over it. */
  clear(item) { squaresOf(item, this.strip.id).delete(this.column); }

  /** Leaves a square empty. */
  passOver(item) {
    if (this.strip.small) return;
    if (this.strip.kind === "Answer") item.unreadable = false;
    if (this.after) {
      if (this.strip.byPoint && this.strip.signs?.includes("/")) this.behind();
      else this.makeRoom(item);
      return;
    }
    squaresOf(item, this.strip.id).delete(this.column);
    this.column = this.within(this.column + (this.comesFromLeft ? -1 : 1));
  }

  unreadable(item) {
    squaresOf(item, answerStrip(item).id).clear();
    item.unreadable = true;
    this.toStart(item);
  }

  /** Moves the number that is set by a column. */
  push(item, columns) {
    if (!this.strip.given) return "Only a number that is set can be moved: go up to it with ↑.";
    const by = (item.moved.get(this.strip.id) ?? 0) + columns;
    const at = this.strip.given.map(([, column]) => column + by);
    if (Math.min(...at) < this.strip.right || Math.max(...at) > this.strip.left) return "It cannot be moved further.";
    item.moved.set(this.strip.id, by);
    shift(item, this.strip.id, columns);
    return undefined;
  }

  // Where the last digit of a row of a division is due: under the row above, and one further where a digit comes down.
  dueIn(item, strip) {
    const rows = item.strips.filter((other) => other.due !== undefined).sort((a, b) => a.row - b.row), at = rows.indexOf(strip);
    const above = at > 0 ? [...squaresOf(item, rows[at - 1].id).keys()] : [];
    return above.length === 0 ? strip.due : Math.max(strip.right, Math.min(...above) - at % 2);
  }

  // Going.

  move(item, columns) {
    const squares = squaresOf(item, this.strip.id);
    this.joins = false;
    const most = this.strip.kind === "Answer" ? Math.max(this.strip.left, ...squares.keys()) : this.strip.left;
    const last = Math.min(this.strip.right, ...squares.keys());
    if (this.after && columns > 0) {
      if (squares.size > 0) this.after = false;
      else if (this.strip.kind !== "Answer") this.column = Math.min(most, this.column + columns);
      return;
    }
    if (columns < 0 && this.column === last && this.comesFromLeft && !this.strip.small && !isNote(this.strip)) this.after = true;
    this.column = Math.max(last, Math.min(this.column + columns, most));

    // A second new value only goes over a first one, and a third over a second.
    for (let below; (below = this.valueBelow(item)) && !squaresOf(item, this.strip.id).has(this.column) && !squaresOf(item, below.id).has(this.column); ) this.strip = below;
  }

  /** The strip of new values that those of this one strike out. */
  valueBelow(item) { return this.strip.small ? item.strips.find((strip) => strip.small && strip.row === this.strip.strikes) : undefined; }

  toEnd(item, isFirst) {
    const squares = squaresOf(item, this.strip.id);
    const last = this.strip.kind === "Answer" && this.strip.byPoint ? Math.min(this.strip.ones, ...squares.keys()) : this.strip.right;
    const most = this.strip.kind === "Answer" ? Math.max(this.strip.left, ...squares.keys()) : this.strip.left;
    Object.assign(this, { column: isFirst ? most : last, after: !isFirst && this.comesFromLeft && !this.strip.small && !isNote(this.strip), joins: false });
  }

  /** To what is written over the lower number, which is rare, and back to the answer; says so where there is no such number. */
  toLowerNumber(item) {
    const rare = item.strips.find((strip) => strip.rare);
    if (!rare) return "B is for what is written over the lower number of a difference.";
    if (this.strip === rare) this.toStart(item);
    else Object.assign(this, { strip: rare, column: Math.max(rare.right, Math.min(this.column, rare.left)), after: false, joins: false });
    return undefined;
  }

  /** To the next strip above or below, from over a struck digit back to the answer; over a new value goes a second one only where the first stands. */
  climb(item, rows) {
    const strips = item.strips.filter((strip) => !strip.rare && (rows < 0 ? strip.row < this.strip.row : strip.row > this.strip.row)).sort((a, b) => (rows < 0 ? b.row - a.row : a.row - b.row));
    const reach = (strip) => Math.max(strip.right - this.column, this.column - strip.left, 0);
    const next = rows > 0 && this.strip.strikes !== undefined ? answerStrip(item) : strips.filter((strip) => strip.row === strips[0].row).sort((a, b) => reach(a) - reach(b))[0];
    this.joins = false;
    if (!next || (next.strikes === this.strip.row && this.strip.small && !squaresOf(item, this.strip.id).has(this.column))) return;
    const right = isMarks(next) ? Math.min(next.right + 1, next.left) : next.right; // nothing is carried to the last column
    const column = Math.max(right, Math.min(this.column, next.kind === "Answer" ? this.column : next.left));
    Object.assign(this, { strip: next, column, after: false });
    if (next.due !== undefined && squaresOf(item, next.id).size === 0) {
      Object.assign(this, { column: this.dueIn(item, next), after: this.comesFromLeft });
      return;
    }
    if (next.kind === "Answer" && isNote(next)) {
      this.toStart(item);
      return;
    }
    if (isNote(next)) {
      this.column = next.left;
      while (squaresOf(item, next.id).has(this.column) && this.column > next.right) this.column--;
    }
    this.after = this.comesFromLeft && !next.small && !isNote(next) && !next.given && (squaresOf(item, next.id).has(column) ? !squaresOf(item, next.id).has(column - 1) : squaresOf(item, next.id).size === 0);
  }
}

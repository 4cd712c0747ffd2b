// Asks the application for its pages, 20 a second, as somebody signed in; see the script `pages` beside this one.
import { Visitor, any, at, links, pause } from "./visitor.mjs";

const [base] = process.argv.slice(2);
const EACH = 50; // milliseconds between requests
const FOR = 60000; // milliseconds
const visitor = await new Visitor(base).signIn();
const [ask, post, text] = ["ask", "post", "text"].map((what) => visitor[what].bind(visitor));
const desk = await text("/");
const students = [...new Set(links(desk, "/students/"))];
const pages = (await Promise.all(students.map(async (s) => links(await text(s), "/pages/")))).flat().filter((p) => /^\/pages\/[^/]*$/.test(p));
const sheet = links(desk, "/class-sheets/")[0].replace("/reading", "");
const classes = links(desk, "/classes/");
console.log(`${students.length} students on the desk, ${pages.length} pages of theirs`);

const kinds = {
  "desk": () => "/",
  "student's file": () => any(students),
  "typing in": () => any(pages),
  "reading": () => `${any(pages)}/reading`,
  "replay of an item": () => `${any(pages)}/items/${1 + Math.floor(Math.random() * 3)}`,
  "change a page": () => `${any(pages)}/edit`,
  "on paper": () => `${any(pages)}/sheet`,
  "begin a page": () => `${any(students)}/pages/new`,
  "class": () => any(classes),
  "class typed in": () => sheet,
  "class reading": () => `${sheet}/reading`,
};

// Once for each, so that nothing is measured that happens once; a page is read for the first time when its typing ends.
for (const path of Object.values(kinds)) await text(path());
const first = performance.now();
for (const page of pages) await text(`${page}/reading`);
console.log(`every page read for the first time: ${Math.round((performance.now() - first) / pages.length)} ms a page`);
const taken = new Map(Object.keys(kinds).map((kind) => [kind, []]));
const waiting = [];
for (const until = Date.now() + FOR; Date.now() < until; await pause(EACH)) {
  const kind = any(Object.keys(kinds));
  waiting.push((async () => {
    const began = performance.now();
    const answer = await ask(kinds[kind]());
    await answer.text();
    if (answer.status !== 200) console.log(`${kind}: ${answer.status}`);
    taken.get(kind).push(performance.now() - began);
  })());
}
await Promise.all(waiting);
const told = (name, times) => {
  const sorted = times.toSorted((a, b) => a - b);
  console.log(`${name.padEnd(20)} ${String(times.length).padStart(5)} ${String(at(sorted, 0.5)).padStart(6)} ${String(at(sorted, 0.95)).padStart(6)} ${String(at(sorted, 1)).padStart(6)}`);
};
console.log(`${"page".padEnd(20)} ${"asked".padStart(5)} ${"50 %".padStart(6)} ${"95 %".padStart(6)} ${"100 %".padStart(6)}`);
for (const [kind, times] of taken) told(kind, times);
told("all", [...taken.values()].flat());

// A class of 30 with 15 items, half of it with a rule.
const codes = Array.from({ length: 30 }, (_, i) => `Z-${i + 1}`).join("\n");
const made = await post(await text("/add-class"), "/add-class", [["name", "Measured"], ["codes", codes], ["word", "Borrow"]]);
const form = await text(`${made.headers.get("location")}/set`);
const items = ["604 - 278", "523 - 168", "80 - 36", "703 - 245", "952 - 367", "456 + 378", "745 + 86", "47 * 38", "69 * 24", "856 / 8", "612 / 3", "4.56 + 3.7", "12.5 + 0.34", "500 - 123", "640 - 58"];
const round = ["474", "445", "56", "542", "615", "834", "831", "1786", "1656", "107", "204", "8.26", "12.84", "423", "618"];
const taught = ["326", "355", "44", "458", "585", "834", "831", "1786", "1656", "107", "204", "8.26", "12.84", "377", "582"];
const students30 = [...form.matchAll(/name="students" value="([^"]*)"/g)].map((m) => ["students", m[1]]);
const set = await post(form, `${made.headers.get("location")}/set`, [["items", items.join("\n")], ["title", "Measured"], ...students30]);
const board = await text(set.headers.get("location"));
const rows = [...board.matchAll(/data-row="([^"]*)"/g)].map((m) => m[1]);
const token = /data-token="([^"]*)"/.exec(board)[1];
const body = JSON.stringify(Object.fromEntries(rows.map((row, at) => [row, (at % 2 ? round : taught).map((answer, i) => ({ id: String(i + 1), version: 1, answer }))])));
const api = set.headers.get("location").replace("/class-sheets", "/api/class-sheets");
const began = performance.now();
await (await ask(`${api}/items`, { method: "PUT", headers: { "content-type": "application/json", "X-Antiforgery": token }, body })).text();
const saved = performance.now();
for (let read = 0; read < 30; read = (await (await ask(`${api}/state`)).json()).read) await pause(50);
console.log(`a class of 30 with 15 items: saved in ${((saved - began) / 1000).toFixed(1)} s, read ${((performance.now() - saved) / 1000).toFixed(1)} s later`);

// The attack; see the script `attack` beside this one.
import { execFileSync } from "node:child_process";
import { existsSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { Visitor, any, at, links, pause } from "./visitor.mjs";

const [base, invitations] = process.argv.slice(2);
const home = process.env.ATTACK_HOME;
const rows = [];
const row = (what, tried, failed, note = "") => {
  rows.push([what, tried, failed, note]);
  console.error(`· ${what}: ${tried} tried, ${failed} failed ${note}`);
};
const PASSWORD = "rope over the harbour wall";
const kill = (pid, signal = "KILL") => execFileSync("kill", [`-${signal}`, String(pid)]);
const running = () => Number(readFileSync(`${home}/running`, "utf8").split("\n")[0]);
const postmaster = () => Number(readFileSync(`${home}/data/postmaster.pid`, "utf8").split("\n")[0]);
const sql = (query) => {
  const port = /;Port=(\d+);/.exec(readFileSync(`${home}/running`, "utf8"))[1];
  const psql = execFileSync("bash", ["-c", "ls -d /usr/lib/postgresql/*/bin/psql | sort -V | tail -n 1"], { encoding: "utf8" }).trim();
  return execFileSync(psql, ["-h", "127.0.0.1", "-p", port, "-U", "pencil", "-d", "pencil", "-Atc", query], { encoding: "utf8", env: { ...process.env, PGPASSWORD: readFileSync(`${home}/secret`, "utf8").trim() } }).trim();
};

async function invited(link, email) {
  const visitor = new Visitor(base);
  const path = link.slice(new URL(link).origin.length);
  const page = await visitor.text(path);
  await visitor.post(page, path.split("?")[0], [["token", new URL(link).searchParams.get("token")], ["password", PASSWORD], ["again", PASSWORD]]);
  if ((await visitor.ask("/")).status !== 200) throw new Error(`${email} could not be signed in`);
  return visitor;
}

async function added(visitor, code) {
  try {
    const answer = await visitor.post(await visitor.text("/add-student"), "/add-student", [["code", code], ["callName", ""], ["word", "Borrow"]]);
    return { status: answer.status, kept: answer.status === 302 && answer.headers.get("location") === `/students/${code}` };
  } catch {
    return { status: 0, kept: false };
  }
}

async function up() {
  for (let tries = 0; tries < 600; tries++, await pause(250)) {
    try {
      if ((await fetch(`${base}/readyz`)).status === 200) return true;
    } catch {
      // Not yet.
    }
  }
  return false;
}

const [one, two] = await Promise.all(invitations.split("\n").map((link, i) => invited(link.trim(), i)));

// Durability: four who write while something is killed; whatever was acknowledged is there afterwards.
async function durable(what, times, harm) {
  let lost = 0, wrote = 0, down = 0;
  for (let time = 0; time < times; time++) {
    const kept = [];
    let goes = true;
    const writers = [0, 1, 2, 3].map(async (w) => {
      for (let i = 0; goes && i < 40; i++) {
        const code = `D-${rows.length}-${time}-${w}-${i}`;
        if ((await added(one, code)).kept) kept.push(code);
      }
    });
    await pause(300 + Math.random() * 700);
    await harm();
    await pause(1500);
    goes = false;
    await Promise.all(writers);
    if (!await up()) down++;
    const there = new Set(sql("select code from students").split("\n"));
    wrote += kept.length;
    lost += kept.filter((code) => !there.has(code)).length;
  }
  row(what, times, lost + down, `${wrote} acknowledged writes, ${lost} lost; ${down} times not up again`);
}

await durable("kill -9 the application while four write", 5, () => kill(running()));
await durable("kill -9 PostgreSQL while four write", 5, () => kill(postmaster()));
await durable("kill -9 both while four write", 3, () => { kill(running()); kill(postmaster()); });
await durable("a backend of PostgreSQL ended while four write", 5, () => sql("select count(pg_terminate_backend(pid)) from pg_stat_activity where datname = 'pencil' and pid <> pg_backend_pid()"));
if (process.env.ATTACK_DISK) {
  await durable("the disk full while four write, then room again", 2, async () => {
    const fill = `${process.env.ATTACK_DISK}/fill`;
    try {
      writeFileSync(fill, Buffer.alloc(700_000_000));
    } catch {
      // That is the point.
    }
    await pause(4000);
    rmSync(fill);
  });
}

// Somebody else's rows, and nobody's.
const code = "A-1";
await added(one, code);
const begun = await one.post(await one.text(`/students/${code}/pages/new`), `/students/${code}/pages/new`, [["items", "604 - 278 = 474\n52 - 38 = 26\n81 - 27 = 66\n703 - 245 = 542"], ["title", "Ropes"]]);
const page = begun.headers.get("location");
await one.text(`${page}/reading`);
const made = await one.post(await one.text("/add-class"), "/add-class", [["name", "Gulls"], ["codes", "A-2\nA-3"], ["word", "Borrow"]]);
const group = made.headers.get("location");
const setting = await one.text(`${group}/set`);
const set = await one.post(setting, `${group}/set`, [["items", "604 - 278\n81 - 27"], ["title", "Knots"], ...[...setting.matchAll(/name="students" value="([^"]*)"/g)].map((m) => ["students", m[1]])]);
const sheet = set.headers.get("location");
const own = [`/students/${code}`, ...["/edit", "/ideas", "/looks", "/pages/new", "?handler=Export"].map((a) => `/students/${code}${a}`), page, ...["/edit", "/reading", "/sheet", "/facts", "/mend", "/items/1"].map((a) => page + a),
  group, `${group}/set`, `${group}/edit`, sheet, ...["/reading", "/paper", "?handler=Csv", "?handler=Sheets"].map((a) => sheet + a), `/api${sheet}/state`];
const open = [];
for (const path of own) {
  if ((await one.ask(path)).status >= 400) continue;
  open.push(path);
}
const let2 = [], let0 = [];
for (const path of open) {
  const [other, nobody] = [await two.ask(path), await new Visitor(base).ask(path)];
  if (other.status < 400) let2.push(path);
  if (nobody.status === 200) let0.push(path);
}
row("another account opens addresses of the first", open.length, let2.length, let2.join(" "));
row("nobody signed in opens them", open.length, let0.length, let0.join(" "));
const before = sql("select md5(string_agg(p.content::text, '' order by p.id)) from pages p");
const token = /data-token="([^"]*)"/.exec(await two.text("/"))?.[1] ?? "";
const stolen = await two.ask(`/api${page}/items`, { method: "PUT", headers: { "content-type": "application/json", "X-Antiforgery": token }, body: JSON.stringify([{ id: "1", version: 1, answer: "1" }]) });
row("another account, or no form token, writes to the first one's page", 2,
  (before !== sql("select md5(string_agg(p.content::text, '' order by p.id)) from pages p") ? 1 : 0)
  + ((await one.ask(`/api${page}/items`, { method: "PUT", headers: { "content-type": "application/json" }, body: "[]" })).status < 400 ? 1 : 0), `answered ${stolen.status}`);

// Extreme values of every parameter of every address.
const extremes = ["2147483647", "-2147483648", "99999999999999999999", "0", "-1", "", "%00", "%D9%A3", "1e9", "NaN", "9".repeat(2000), "%F0%9D%9F%8F", "..%2F..", "'; --"];
const names = ["From", "To", "Of", "Square", "Kind", "Size", "As", "Print", "Designed", "Digits", "Variant", "Family", "parallelTo", "rules", "other", "token", "ReturnUrl", "typing", "Steps", "step", "handler"];
const walked = [...open, "/", "/paper", "/account", "/add-student", "/add-class", "/thrown-away", "/sign-in", "/status/404"];
let asked = 0, broken = [], slowest = 0;
for (const path of walked) {
  for (const extreme of extremes) {
    const began = performance.now();
    const answer = await one.ask(`${path}${path.includes("?") ? "&" : "?"}${names.map((n) => `${n}=${extreme}`).join("&")}`);
    await answer.arrayBuffer();
    slowest = Math.max(slowest, performance.now() - began);
    asked++;
    if (answer.status >= 500) broken.push(`${path} ${extreme.slice(0, 20)}`);
  }
}
row("extreme values of all parameters at once", asked, broken.length, `slowest ${Math.round(slowest)} ms ${broken.slice(0, 3).join("; ")}`);

// Saves that no page sends; the page can be read after each hundred.
const typed = /data-token="([^"]*)"/.exec(await one.text(page))[1];
const text = () => any([() => "7".repeat(any([0, 1, 2, 61])), () => String.fromCharCode(...Array.from({ length: any([1, 2, 20]) }, () => any([48, 49, 57, 46, 44, 45, 47, 32, 0x663, 0xff15, 0xb2, 0x2212, 65])))])();
const squares = () => ({ [any(["answer", "above-0", "row-1", "carry", "work-0", "x".repeat(80), ""])]: { [any(["0", "1", "5", "70", "-3", "2147483647", "x"])]: text() } });
const item = () => any([
  () => ({ id: "1", version: any([0, 1, 2, 2147483647, -1]), answer: text() }), () => ({ id: any(["1", "2", "", "99"]), version: 1, squares: squares() }),
  () => ({ id: "1", version: 1, squares: {}, moved: { "above-0": any([61, -61, 0, 1]) } }), () => ({ id: 1 }), () => null, () => [], () => ({ id: "1", version: 1, squares: [] }), () => ({ id: "2", version: 1, squares: { answer: null } }),
])();
const told = new Map();
let unreadable = 0;
for (let i = 0; i < 2000; i++) {
  const answer = await one.ask(`/api${page}/items`, { method: "PUT", headers: { "content-type": "application/json", "X-Antiforgery": typed }, body: JSON.stringify(any([() => [item()], () => [item(), item()], item])()) });
  await answer.arrayBuffer();
  told.set(answer.status, (told.get(answer.status) ?? 0) + 1);
  if (i % 100 === 99 && (await one.ask(`${page}/reading`)).status !== 200) unreadable++;
}
row("random saves, the page read after each hundred", 2000, [...told].filter(([s]) => s >= 500).reduce((n, [, k]) => n + k, 0) + unreadable, [...told].map(([s, n]) => `${n} × ${s}`).join(", "));

// Forms filled at random.
const forms = ["/add-student", "/add-class", "/account", `/students/${code}/edit`, `/students/${code}/pages/new`, `${page}/edit`, `${page}/mend`, `${group}/set`, `${group}/edit`];
let sent = 0, fell = [];
for (const form of forms) {
  const shown = await one.text(form);
  const fields = [...new Set([...shown.matchAll(/name="([^"_][^"]*)"/g)].map((m) => m[1]))].filter((n) => n !== "once");
  for (let i = 0; i < 100; i++) {
    const answer = await one.post(shown, form, fields.map((f) => [f, any([text(), any(["1/0 + 2", "604 - 278 = 474", "٣/8", "(".repeat(500), "-1", "9".repeat(3000), "\u202e", "Borrow", ""])])]).filter(([f]) => !(form === "/account" && f === "kept")));
    await answer.arrayBuffer();
    sent++;
    if (answer.status >= 500) fell.push(form);
  }
}
row("forms filled at random", sent, fell.length, [...new Set(fell)].join(" "));

// From many at once.
const same = await Promise.all(Array.from({ length: 20 }, () => added(one, "S-same")));
row("the same code from twenty at once", 20, same.filter((s) => s.status >= 500).length + (same.filter((s) => s.kept).length === 1 ? 0 : 1));
const desk = await one.text("/add-class");
const classes = await Promise.all(Array.from({ length: 10 }, (_, i) => one.post(desk, "/add-class", [["name", `C ${i}`], ["codes", "S-a\nS-b\nS-c"], ["word", "Borrow"]])));
row("ten classes at once with the same new codes", 10, classes.filter((c) => c.status >= 500).length);

// Load, by the demo's specialist with 40 students: the first account has thousands by now.
const demo = await new Visitor(base).signIn();
const desk40 = await demo.text("/");
const [file] = links(desk40, "/students/");
const [read] = links(await demo.text(file), "/pages/").filter((p) => /^\/pages\/[^/]*$/.test(p));
const [board] = links(desk40, "/class-sheets/").map((p) => p.replace("/reading", ""));
const kinds = ["/", file, read, `${read}/reading`, board, `${board}/reading`];
for (const path of kinds) await demo.text(path);
async function load(rate, seconds) {
  const times = [], statuses = new Map(), waiting = [];
  const began = performance.now();
  for (let n = 0; n < rate * seconds; n++) {
    const due = began + (n * 1000) / rate;
    if (due > performance.now()) await pause(due - performance.now());
    waiting.push((async () => {
      const since = performance.now();
      const status = await demo.ask(kinds[n % kinds.length]).then(async (a) => (await a.arrayBuffer(), a.status), () => 0);
      statuses.set(status, (statuses.get(status) ?? 0) + 1);
      times.push(performance.now() - since);
    })());
  }
  await Promise.all(waiting);
  times.sort((a, b) => a - b);
  const failed = [...statuses].filter(([s]) => s !== 200).reduce((n, [, k]) => n + k, 0);
  const memory = existsSync(`/proc/${running()}/status`) ? Math.round(Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${running()}/status`, "utf8"))[1]) / 1024) : 0;
  row(`${rate} pages a second for ${seconds} s`, rate * seconds, failed, `p50 ${at(times, 0.5)}, p95 ${at(times, 0.95)}, p99 ${at(times, 0.99)} ms; ${memory} MB`);
}
await load(20, 30);
await load(50, 30);
await load(100, 60);
const began = performance.now();
const signs = await Promise.all(Array.from({ length: 300 }, async (_, i) => {
  const visitor = new Visitor(base);
  return visitor.text("/sign-in").then((shown) => visitor.post(shown, "/sign-in", [["email", `nobody-${i}@attack.example`], ["password", "wrong"]])).then((a) => a.status, () => 0);
}));
row("300 sign-ins at once", 300, signs.filter((s) => s !== 200).length, `all answered after ${((performance.now() - began) / 1000).toFixed(1)} s`);

console.log("| tried | times | failed | |\n|---|---|---|---|");
for (const cells of rows) console.log(`| ${cells.join(" | ")} |`);
process.exitCode = rows.some(([, , failed]) => failed > 0) ? 1 : 0;

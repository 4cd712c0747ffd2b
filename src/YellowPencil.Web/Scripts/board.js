// Typing in a class: students down, items across, a field in every cell. What is typed is kept in the browser and sent, as on squared paper.
import { build } from "./lines.js";
import { listConflicts } from "./margin.js";
import { Outbox } from "./outbox.js";
import { startTable } from "./table.js";

const LOOK_AGAIN = 700; // milliseconds between looks at how far the reading is

export function startBoard(root) {
  const find = (name) => root.querySelector(`[data-${name}]`);
  const rows = [...root.querySelectorAll("[data-row]")];
  const items = rows.flatMap((row) => [...row.querySelectorAll("input")].map((field) => ({
    page: row.dataset.row, id: field.dataset.item, version: Number(field.dataset.version), answer: field.value === "" ? null : field.value, work: null,
    code: row.dataset.code, title: root.dataset.title, name: `${row.dataset.code}, item ${field.dataset.item},`, field,
  })));
  const byField = new Map(items.map((item) => [item.field, item]));
  let state = null, looking = 0, before = "";
  let isInside = false; // whether the arrows move within the answer: after F2, or a click into the cell under the hand

  const outbox = new Outbox(items, root.dataset.token, {
    written: (item) => ({ answer: item.answer, ...(item.work ? { work: item.work } : {}), at: root.dataset.address }),
    take: (item, kept) => kept.squares === undefined && kept.lines === undefined && (show(item, kept.answer, kept.work ?? null), true),
    names: (of) => (of.length > 4 ? `${of.length} answers` : of.map((item) => item.name.replace(/,$/, "")).join("; ")),
    address: () => `/api/class-sheets/${root.dataset.board}/items`,
    pack: (sent) => `{${[...Map.groupBy(sent, (s) => s.item.page)].map(([page, list]) => `${JSON.stringify(page)}:[${list.map((s) => s.text).join(",")}]`).join(",")}}`,
    unpack: (reply) => Object.entries(reply.pages).map(([page, saved]) => ({ page, ...saved })),
  }, { changed: showState, heard: (reply) => takeState(reply.state) });

  function show(item, answer, work) {
    Object.assign(item, { answer, work });
    item.field.value = answer ?? "";
    buildUp(item);
  }

  /** An answer of an item that stands in lines is drawn small and built up, while the hand is somewhere else. */
  async function buildUp({ field, answer }) {
    const cell = field.closest("td"), picture = cell.querySelector(".built");
    if (!picture) return;
    const line = answer === null || answer === "?" ? null : await build(answer);
    if (line && field.value !== answer) return;
    picture.innerHTML = line && !line.message ? line.svg : "";
    cell.classList.toggle("isbuilt", picture.innerHTML !== "");
  }

  /** What was typed into a field becomes the answer. */
  function take(field) {
    const item = byField.get(field);
    if (/^u$/i.test(field.value.trim())) field.value = "?";
    const answer = field.value.trim() === "" ? null : field.value.trim();
    if (answer === item.answer) return;
    show(item, answer, null);
    outbox.changed(item);
  }

  // Moving about.

  const cellsOf = (row) => [...row.querySelectorAll("input")];

  function goTo(field) {
    if (!field) return false;
    field.focus();
    field.select();
    return true;
  }

  function across(field, by) {
    const fields = items.map((item) => item.field);
    return fields[fields.indexOf(field) + by];
  }

  function down(field, by) {
    const row = field.closest("tr"), column = cellsOf(row).indexOf(field);
    for (let next = rows[rows.indexOf(row) + by]; next; next = rows[rows.indexOf(next) + by]) if (cellsOf(next)[column]) return cellsOf(next)[column];
    return null;
  }

  const moves = {
    Enter: (field, event) => {
      take(field);
      if (!goTo(across(field, event.shiftKey ? -1 : 1)) && !event.shiftKey) find("done").focus();
      return true;
    },
    ArrowDown: (field) => goTo(down(field, 1)),
    ArrowUp: (field) => goTo(down(field, -1)),
    ArrowLeft: (field) => !isInside && goTo(across(field, -1)),
    ArrowRight: (field) => !isInside && goTo(across(field, 1)),
    F2: (field) => {
      isInside = true;
      field.setSelectionRange(field.value.length, field.value.length);
      return true;
    },
    Escape: (field) => {
      field.value = before;
      field.select();
      return true;
    },
  };

  root.querySelector(".answers").addEventListener("keydown", (event) => {
    if (!byField.has(event.target) || event.altKey || event.ctrlKey || event.metaKey) return;
    if (moves[event.key]?.(event.target, event)) event.preventDefault();
  });

  for (const { field } of items) {
    field.addEventListener("focus", () => {
      before = field.value;
      isInside = false;
      field.select();
      showWhere(field);
    });
    field.addEventListener("input", () => showWhere(field));
    field.addEventListener("mousedown", () => { isInside = document.activeElement === field; });
    field.addEventListener("blur", () => take(field));
    field.addEventListener("paste", (event) => {
      const text = event.clipboardData.getData("text/plain");
      if (!/[\t\n]/.test(text.trimEnd())) return;
      event.preventDefault();
      take(field);
      table.look(text, byField.get(field));
    });
  }

  const table = startTable(root, {
    token: () => outbox.token,
    find: (page, id) => outbox.find(page, id),
    take: (taken) => {
      for (const { item, answer, work } of taken) {
        show(item, answer, work);
        outbox.changed(item);
      }
    },
    back: (item) => goTo(item?.field ?? items[0]?.field),
  });

  // What is shown.

  function showWhere(field) {
    const item = byField.get(field);
    find("where").textContent = `${field.getAttribute("aria-label")}: ${field.value === "" ? "blank" : `reads ${field.value}`}`;
    find("says").textContent = state?.rows[item.page]?.says ?? "";
  }

  function showState() {
    find("saving").textContent = outbox.state;
    find("saving").classList.toggle("trouble", !outbox.isSettled && outbox.state !== "Saving…");
    for (const item of items) item.field.toggleAttribute("data-refused", outbox.refused.has(item) || outbox.conflicts.has(item));
    showConflicts();
  }

  function showConflicts() {
    listConflicts(root, outbox, (item) => item.answer, (item, theirs) => [`${item.name} `, choice(`${item.answer ?? "blank"}, typed here`, () => outbox.settle(item, true)), " ", choice(`${theirs.answer ?? "blank"}, saved elsewhere`, () => {
      show(item, theirs.answer, null);
      outbox.settle(item, false);
    })]);
  }

  function choice(text, choose) {
    const button = document.createElement("button");
    Object.assign(button, { type: "button", className: "button", textContent: text, onclick: choose });
    return button;
  }

  function takeState(told) {
    state = told;
    for (const item of items) {
      const verdict = told.rows[item.page]?.verdicts[item.id];
      if (verdict) item.field.closest("td").dataset.verdict = verdict;
    }
    find("progress").textContent = `${told.read} of ${told.of} read`;
    find("by-itself").textContent = told.byItself ? "Stop reading" : "Read on";
    if (byField.has(document.activeElement)) showWhere(document.activeElement);
    clearTimeout(looking);
    if (told.byItself && told.read < told.of) looking = setTimeout(look, LOOK_AGAIN);
  }

  async function look() {
    const answer = await fetch(`/api/class-sheets/${root.dataset.board}/state`).catch(() => null);
    if (answer?.ok) takeState(await answer.json());
  }

  find("by-itself").addEventListener("click", async () => {
    const answer = await fetch(`/api/class-sheets/${root.dataset.board}/by-itself`, { method: "PUT", headers: { "X-Antiforgery": outbox.token }, body: String(!(state?.byItself ?? true)) }).catch(() => null);
    if (answer?.ok) takeState(await answer.json());
  });

  find("finish").addEventListener("submit", async (event) => {
    if (outbox.isSettled) return;
    event.preventDefault();
    find("not-yet").textContent = "Waiting until everything is saved…";
    if (await outbox.settleDown()) event.target.submit();
    else find("not-yet").textContent = `Not yet: ${outbox.unsettled} not saved.`;
  });

  outbox.restore();
  showState();
  look();
  if (outbox.waiting.size > 0) outbox.send();
  goTo((items.find((item) => item.answer === null) ?? items[0])?.field);
}

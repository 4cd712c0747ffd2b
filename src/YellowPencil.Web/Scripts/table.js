// Answers that come as a table: looked at by the server first, then taken into the cells of the board as if they had been typed.
export function startTable(root, board) {
  const panel = root.querySelector("[data-table]");
  const find = (name) => panel.querySelector(`[data-${name}]`);
  const text = panel.querySelector("textarea"), file = panel.querySelector("input[type=file]");
  let cells = [], from = null;

  function open(item) {
    from = item ?? null;
    panel.hidden = false;
    find("found").hidden = true;
    panel.scrollIntoView({ block: "nearest" });
  }

  function close() {
    panel.hidden = true;
    text.value = "";
    file.value = "";
    board.back(from);
  }

  async function look() {
    find("found").hidden = false;
    find("faults").hidden = true;
    find("take").hidden = true;
    say("Looking at it…");
    const request = { method: "POST", headers: { "content-type": "application/json", "X-Antiforgery": board.token() }, body: JSON.stringify({ text: text.value, page: from?.page, item: from?.id }) };
    const answer = await fetch(`/api/class-sheets/${root.dataset.board}/table`, request).catch(() => null);
    if (!answer?.ok) {
      say(answer === null ? "Not connected: nothing was taken. Try again when the connection is back." : (await answer.json().catch(() => ({}))).message ?? "It could not be looked at.");
      return;
    }
    const found = await answer.json();
    cells = found.cells.map((cell) => ({ item: board.find(cell.page, cell.id), answer: cell.answer, work: cell.work })).filter((cell) => cell.item);
    showFound(found.faults);
  }

  function say(message) { find("found-text").textContent = message; }

  function showFound(faults) {
    const changing = cells.filter(({ item, answer }) => item.answer !== null && item.answer !== answer).length;
    const same = cells.filter(({ item, answer }) => item.answer === answer).length;
    say([
      `${count(cells.length, "answer")} can be taken${same > 0 ? `, ${same} of them as they stand already` : ""}.`,
      changing > 0 ? `${changing === 1 ? "One changes" : `${changing} change`} an answer that stands there.` : "",
      faults.length > 0 ? `${count(faults.length, "place")} cannot be taken:` : "",
    ].filter(Boolean).join(" "));
    find("faults").hidden = faults.length === 0;
    find("faults").querySelector("tbody").replaceChildren(...faults.map((fault) => {
      const line = document.createElement("tr");
      for (const told of [fault.row, fault.column, fault.what, fault.instead]) line.append(Object.assign(document.createElement("td"), { textContent: told }));
      return line;
    }));
    find("take").hidden = cells.length === 0;
    find("take").textContent = `Take ${count(cells.length, "answer")}`;
    if (cells.length > 0) find("take").focus();
  }

  const count = (many, what) => (many === 1 ? `one ${what}` : `${many} ${what}s`);

  root.querySelector("[data-open-table]").addEventListener("click", () => { open(null); text.focus(); });
  find("look").addEventListener("click", look);
  find("close-table").addEventListener("click", close);
  panel.addEventListener("keydown", (event) => { if (event.key === "Escape") close(); });
  file.addEventListener("change", async () => {
    if (!file.files[0]) return;
    text.value = await file.files[0].text();
    look();
  });
  find("take").addEventListener("click", () => {
    board.take(cells);
    from = cells[0]?.item ?? from;
    close();
  });

  return {
    look(pasted, item) {
      open(item);
      text.value = pasted;
      look();
    },
  };
}

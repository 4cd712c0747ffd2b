// What is typed is written into local storage first, and taken out when the server has acknowledged it. Every key carries whose it is,
// so that nobody else who signs in at this browser is shown it.
const OWNER = document.body.dataset.owner ?? "";
const PREFIX = `pencil:${OWNER}:`;

// Where the browser has no room left, or keeps nothing at all, what is typed stays in the page and is sent from there.
const store = reachable() ?? { getItem: () => null, setItem: () => { throw new Error("nothing is kept"); }, removeItem: () => {} };

function reachable() {
  try {
    return window.localStorage;
  } catch {
    return null;
  }
}

/** Keeps a value; whether the browser had room for it. */
export function keep(key, value) {
  try {
    store.setItem(PREFIX + key, JSON.stringify(value));
    return true;
  } catch {
    return false;
  }
}

export const forget = (key) => store.removeItem(PREFIX + key);

export function kept(key) {
  const text = store.getItem(PREFIX + key);
  return text === null ? null : JSON.parse(text);
}

const keys = () => Object.keys(store).filter((key) => key.startsWith(PREFIX));

/** The typed items that wait for the server, by where they were typed: { at, code, title, ids, keys }. */
export function unsentPages() {
  const pages = new Map();
  for (const key of keys().filter((k) => k.startsWith(`${PREFIX}item:`))) {
    const [page, id] = key.slice(`${PREFIX}item:`.length).split(/:(.*)/s);
    const { code, title, at = `/pages/${page}` } = JSON.parse(store.getItem(key));
    if (!pages.has(at)) pages.set(at, { at, codes: new Set(), title, ids: new Set(), keys: [] });
    const unsent = pages.get(at);
    unsent.codes.add(code);
    unsent.ids.add(id);
    unsent.keys.push(key);
  }
  return [...pages.values()];
}

/** Forgets what was typed and not sent. */
export function forgetKeys(unsent) {
  for (const key of unsent) store.removeItem(key);
}

/** At sign-out nothing of a student stays in the browser. */
export function forgetAll() {
  for (const key of Object.keys(store)) if (key.startsWith("pencil:")) store.removeItem(key);
}

/**
 * Keeps a plain field of a form until a later page says that it has been taken in. Into a field that came filled what was kept is put only where the field
 * asks for it (data-over), and it still came with the text that was typed over.
 */
export function keepField(field) {
  const key = `field:${field.dataset.keep}`;
  const before = kept(key);
  if (before !== null && ("over" in field.dataset ? before.over === field.defaultValue : field.value === "")) field.value = before.text;
  field.addEventListener("input", () => keep(key, { text: field.value, over: field.defaultValue }));
}

/** Forgets the fields of a form that was taken in: all whose names begin with the form's. */
export function forgetForm(name) {
  for (const key of keys()) if (name && key.startsWith(`${PREFIX}field:${name}:`)) store.removeItem(key);
}

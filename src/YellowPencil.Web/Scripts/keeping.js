// What is typed is written into local storage first, and taken out when the server has acknowledged it.
const PREFIX = "pencil:";

export const keep = (key, value) => localStorage.setItem(PREFIX + key, JSON.stringify(value));
export const forget = (key) => localStorage.removeItem(PREFIX + key);

export function kept(key) {
  const text = localStorage.getItem(PREFIX + key);
  return text === null ? null : JSON.parse(text);
}

const keys = () => Object.keys(localStorage).filter((key) => key.startsWith(PREFIX));

/** How many typed items wait for the server. */
export const unsent = () => keys().filter((key) => key.startsWith(`${PREFIX}item:`)).length;

/** At sign-out nothing of a student stays in the browser. */
export function forgetAll() {
  for (const key of keys()) localStorage.removeItem(key);
}

/** Keeps a plain field of a form until a later page says that it has been taken in. */
export function keepField(field) {
  const key = `field:${field.dataset.keep}`;
  const before = kept(key);
  if (before !== null && field.value === "") field.value = before;
  field.addEventListener("input", () => keep(key, field.value));
}

/** Forgets the fields of a form that was taken in: all whose names begin with the form's. */
export function forgetForm(name) {
  for (const key of keys()) if (name && key.startsWith(`${PREFIX}field:${name}:`)) localStorage.removeItem(key);
}

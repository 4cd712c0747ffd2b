// Somebody with a browser's cookies who reads pages of the application and sends their forms.
export class Visitor {
  constructor(base) {
    this.base = base;
    this.cookies = new Map();
  }

  async ask(path, init = {}) {
    const cookie = [...this.cookies].map(([k, v]) => `${k}=${v}`).join("; ");
    const answer = await fetch(this.base + path, { redirect: "manual", ...init, headers: { cookie, ...init.headers } });
    for (const set of answer.headers.getSetCookie()) {
      const [name, value] = set.split(";")[0].split(/=(.*)/s);
      this.cookies.set(name, value);
    }
    return answer;
  }

  async text(path) {
    return (await this.ask(path)).text();
  }

  async post(page, path, fields) {
    const token = /name="__RequestVerificationToken"[^>]*value="([^"]*)"/.exec(page)?.[1] ?? "";
    const body = new URLSearchParams([...fields, ["__RequestVerificationToken", token], ["once", crypto.randomUUID()]]);
    return this.ask(path, { method: "POST", body });
  }

  async signIn(email = "demo@kite-workshop.example", password = "against the wind") {
    await this.post(await this.text("/sign-in"), "/sign-in", [["email", email], ["password", password]]);
    return this;
  }
}

export const links = (html, start) => [...html.matchAll(/href="([^"]*)"/g)].map((m) => m[1].replaceAll("&amp;", "&")).filter((href) => href.startsWith(start));
export const any = (list) => list[Math.floor(Math.random() * list.length)];
export const pause = (milliseconds) => new Promise((wake) => setTimeout(wake, milliseconds));
export const at = (sorted, share) => Math.round(sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? 0);

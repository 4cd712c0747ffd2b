// Builds everything the browser is served into wwwroot/dist: style sheet, scripts and fonts. Nothing comes from another host.
import { execFileSync } from "node:child_process";
import { cpSync, mkdirSync, readdirSync, rmSync, writeFileSync } from "node:fs";
import { dirname, join } from "node:path";
import { fileURLToPath } from "node:url";

const here = dirname(fileURLToPath(import.meta.url));
const dist = join(here, "wwwroot", "dist");
const modules = join(here, "node_modules");
rmSync(dist, { recursive: true, force: true });
mkdirSync(join(dist, "fonts"), { recursive: true });

const fonts = [
  ["atkinson-hyperlegible-next", ["latin-400-normal", "latin-700-normal", "latin-400-italic"]],
  ["patrick-hand", ["latin-400-normal"]],
  ["kalam", ["latin-400-normal", "latin-700-normal"]],
];
for (const [family, faces] of fonts)
  for (const face of faces) {
    // The browser takes WOFF 2, the PDF writer WOFF.
    for (const file of [`${family}-${face}.woff2`, `${family}-${face}.woff`]) cpSync(join(modules, "@fontsource", family, "files", file), join(dist, "fonts", file));
  }

cpSync(join(modules, "@alpinejs", "csp", "dist", "module.esm.min.js"), join(dist, "alpine.js"));
for (const script of readdirSync(join(here, "Scripts"))) cpSync(join(here, "Scripts", script), join(dist, script));

const tailwind = join(modules, "@tailwindcss", "cli", "dist", "index.mjs");
execFileSync(process.execPath, [tailwind, "-i", join(here, "Styles", "site.css"), "-o", join(dist, "site.css"), "--minify"], { cwd: here, stdio: ["ignore", "ignore", "inherit"] });
writeFileSync(join(dist, "built"), new Date().toISOString());

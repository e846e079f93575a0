// Puts styles, fonts and third-party scripts beside the compiled classes, from where the application serves them, and packs
// them, and what lies there already, as browsers ask for it.
// Installs the npm packages first where they are missing or older than the lock file.
import { execFileSync } from "node:child_process";
import {
  copyFileSync,
  existsSync,
  mkdirSync,
  readFileSync,
  readdirSync,
  statSync,
  writeFileSync,
} from "node:fs";
import { dirname, join } from "node:path";
import { fileURLToPath } from "node:url";
import { gzipSync } from "node:zlib";

const here = dirname(fileURLToPath(import.meta.url));
const out = join(here, "target/classes/assets");

// Fonts go with their licence, as the licence asks.
const copies = {
  "js/idiomorph.js": "idiomorph/dist/idiomorph.esm.js",
  ...font("literata", "literata-latin-wght-normal"),
  ...font("instrument-sans", "instrument-sans-latin-standard-normal"),
  ...font("sometype-mono", "sometype-mono-latin-wght-normal"),
};

function font(name, file) {
  const folder = `@fontsource-variable/${name}`;
  return {
    [`fonts/${name}.woff2`]: `${folder}/files/${file}.woff2`,
    [`fonts/${name}-licence.txt`]: `${folder}/LICENSE`,
  };
}

function run(command, ...args) {
  execFileSync(command, args, { cwd: here, stdio: "inherit" });
}

// Not "npm ci": where a registry lacks the builds for other systems that Tailwind names as optional, no complete lock file
// can be written, and "npm ci" then refuses. What the lock file does name is installed exactly as it says.
const npmInstall = [
  ...["npm", "install", "--no-save", "--no-fund", "--no-audit"],
  "--loglevel=error",
];
const installed = join(here, "node_modules/.package-lock.json");
const lock = join(here, "package-lock.json");
if (
  !existsSync(installed) ||
  statSync(installed).mtimeMs < statSync(lock).mtimeMs
) {
  run(...npmInstall);
}

// Debian 12 has Node 18. Tailwind runs on it, but npm leaves out its native part, which asks for Node 20.
const native = `@tailwindcss/oxide-${process.platform}-${process.arch}-gnu`;
if (
  process.platform === "linux" &&
  !existsSync(join(here, "node_modules", native))
) {
  const { version } = JSON.parse(
    readFileSync(join(here, "node_modules/@tailwindcss/oxide/package.json")),
  );
  run(...npmInstall, "--force", `${native}@${version}`);
}

for (const [to, from] of Object.entries(copies)) {
  mkdirSync(dirname(join(out, to)), { recursive: true });
  copyFileSync(join(here, "node_modules", from), join(out, to));
}

run(
  join(here, "node_modules/.bin/tailwindcss"),
  "--input",
  "src/main/styles/ledger.css",
  "--output",
  join(out, "ledger.css"),
  "--minify",
);

// Fonts are packed as they are.
const packable = /\.(css|js|json|svg)$/;
for (const folder of [out, join(out, "js")]) {
  for (const name of readdirSync(folder).filter((it) => packable.test(it))) {
    const file = join(folder, name);
    writeFileSync(`${file}.gz`, gzipSync(readFileSync(file), { level: 9 }));
  }
}

// Checks JSON-LD documents, one a line of standard input, against schema.org's vocabulary as "schema-dts" carries it, by letting the
// TypeScript compiler judge each as a CourseInstance: a property that the vocabulary does not have is an error. Says what the
// compiler says, with the number of the document before it.
import { dirname, join } from "node:path";
import { readFileSync } from "node:fs";
import { fileURLToPath } from "node:url";
import ts from "typescript";

const here = dirname(fileURLToPath(import.meta.url));
const file = join(here, "checked.ts");
const source =
  'import type { CourseInstance, WithContext } from "schema-dts";\n' +
  readFileSync(0, "utf8")
    .trim()
    .split("\n")
    .map((json, at) => `export const checked${at}: WithContext<CourseInstance> = ${json};\n`)
    .join("");
const options = { noEmit: true, strict: true, types: [], skipLibCheck: true, moduleResolution: ts.ModuleResolutionKind.Bundler, module: ts.ModuleKind.ESNext };
const host = ts.createCompilerHost(options);
const { getSourceFile, fileExists } = host;
host.fileExists = (name) => name === file || fileExists(name);
host.getSourceFile = (name, ...rest) =>
  name === file ? ts.createSourceFile(name, source, ts.ScriptTarget.ES2022) : getSourceFile(name, ...rest);
const program = ts.createProgram([file], options, host);
for (const diagnostic of ts.getPreEmitDiagnostics(program)) {
  const { line } = ts.getLineAndCharacterOfPosition(diagnostic.file, diagnostic.start);
  console.log(`${line}: ${ts.flattenDiagnosticMessageText(diagnostic.messageText, " ")}`);
}

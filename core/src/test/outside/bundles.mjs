// Reads bundles with npm's "datapackage", which reads tables with "tableschema": one folder a line of standard input. Says
// for each, in a line of its own, "accepted" or "refused: " and the first reason.
import { createInterface } from "node:readline";
import { Package } from "datapackage";

// A missing file comes as an error event that nobody listens to, and not as a rejected promise.
const stray = (reject) => process.removeAllListeners("uncaughtException").once("uncaughtException", reject);

async function read(folder) {
  const bundle = await Package.load(`${folder}/datapackage.json`, { basePath: folder, strict: true });
  for (const resource of bundle.resources) {
    await resource.read({ relations: (resource.schema.foreignKeys ?? []).length > 0 });
  }
}

async function verdict(folder) {
  try {
    await Promise.race([read(folder), new Promise((_, reject) => stray(reject))]);
    return "accepted";
  } catch (trouble) {
    const reason = trouble.multiple ? trouble.errors[0].message : trouble.message;
    return `refused: ${String(reason).split("\n")[0]}`;
  }
}

for await (const folder of createInterface({ input: process.stdin })) {
  console.log(await verdict(folder));
}

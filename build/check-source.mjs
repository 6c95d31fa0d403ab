// Two rules of layout that the formatters do not hold:
// - No line of code is over 140 columns, but for one that is long because of a text: a sentence for people stays in one piece, so that it
//   is found by searching. Only what lies outside the texts of a line counts.
// - A C# file of the product holds a type of its name, so that a type is found by its file.
import { execFileSync } from "node:child_process";
import { existsSync, readFileSync } from "node:fs";
import { basename } from "node:path";

const most = 140;
const files = execFileSync("git", ["ls-files", "-z", "*.cs", "*.ts", "*.tsx", "*.mjs"], { encoding: "utf8" }).split("\0");
const checked = files.filter((file) => file && existsSync(file) && !/\/Migrations\/|schema\.d\.ts$/.test(file));
const long = checked.flatMap((file) => tooLong(readFileSync(file, "utf8").split("\n")).map(([at, width]) => `${file}:${at}: ${width} columns`));

const nameless = checked
  .filter((file) => /^src\/.*\.cs$/.test(file) && basename(file) !== "Program.cs" && !holdsItsName(file))
  .map((file) => `${file}: no type is named ${basename(file, ".cs")}`);
const wrong = [...long, ...nameless];

function holdsItsName(file) {
  const name = basename(file, ".cs");
  return new RegExp(`\\b(class|record|struct|interface|enum) ${name}\\b`).test(readFileSync(file, "utf8"));
}

/** The numbers and widths of lines that are too long. */
function tooLong(lines) {
  let inText = false;
  return lines.flatMap((line, i) => {
    const within = inText;
    inText = line.split('"""').length % 2 === 0 ? !inText : inText;
    return !within && outside(line) > most ? [[i + 1, line.length]] : [];
  });
}

/** How wide a line is without what stands between its first and its last quotation mark. */
function outside(line) {
  const [first, last] = [line.indexOf('"'), line.lastIndexOf('"')];
  return first === last ? line.length : line.length - (last - first - 1);
}

for (const line of wrong) {
  console.error(line);
}
console.error(`${checked.length} files, ${long.length} lines over ${most} columns, ${nameless.length} files without a type of their name`);
process.exit(wrong.length === 0 ? 0 : 1);

// Sums the results of every test runner into the one closing line. Fails when a test failed or a runner ran none.
import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";

const folder = process.argv[2];
let passed = 0;
let failed = 0;
const runners = [];

for (const file of readdirSync(folder, { recursive: true }).map(String)) {
  const text = file.endsWith(".trx") || file.endsWith("front-end.json") ? readFileSync(join(folder, file), "utf8") : null;
  if (text === null) {
    continue;
  }
  let good;
  let bad;
  let skipped = 0;
  if (file.endsWith(".trx")) {
    const count = (name) => Number(new RegExp(`<Counters[^>]* ${name}="(\\d+)"`).exec(text)?.[1] ?? 0);
    good = count("passed");
    bad = count("failed") + count("error") + count("timeout") + count("aborted");
    skipped = count("notExecuted");
    for (const why of new Set([...text.matchAll(/<Message>([^<]*skipped: [^<]*)<\/Message>/g)].map(([, message]) => message.trim()))) {
      console.log(why);
    }
    for (const [, name] of text.matchAll(/<UnitTestResult[^>]*testName="([^"]*)"[^>]*outcome="Failed"/g)) {
      console.log(`failed: ${name}`);
    }
  } else {
    const report = JSON.parse(text);
    good = report.numPassedTests;
    bad = report.numFailedTests + (report.success ? 0 : Math.max(0, 1 - report.numFailedTests));
  }
  runners.push(file);
  passed += good;
  failed += bad + (good + bad + skipped === 0 ? 1 : 0);
}

if (runners.length < 8) {
  console.log(`only ${runners.length} of 8 runners left a result: ${runners.join(", ")}`);
  failed += 1;
}
console.log(`${passed} passed, ${failed} failed`);
process.exit(failed > 0 || passed === 0 ? 1 : 0);

// Clients that read a job and save a change of it, ten jobs between them: node load.mjs http://127.0.0.1:5099
const server = process.argv[2] ?? "http://127.0.0.1:5080";
const json = { "content-type": "application/json" };

async function job(number) {
  const made = await fetch(`${server}/api/jobs`, { method: "POST", headers: json, body: JSON.stringify({ name: `Load ${number}`, from: 1 }) });
  return (await made.json()).id;
}

const jobs = await Promise.all(Array.from({ length: 10 }, (_, i) => job(i)));

async function run(clients, seconds) {
  const times = [];
  const answers = {};
  const end = Date.now() + seconds * 1000;
  const ask = async (path, options) => {
    const begun = performance.now();
    const answer = await fetch(server + path, options);
    const text = await answer.text();
    times.push(performance.now() - begun);
    answers[answer.status] = (answers[answer.status] ?? 0) + 1;
    return text;
  };
  const work = async (client) => {
    for (let round = 0; Date.now() < end; round++) {
      const path = `/api/jobs/${jobs[(client + round) % jobs.length]}`;
      const { version } = JSON.parse(await ask(`${path}?setUp=planned`));
      const last = `192.168.8.${150 + ((client * 7 + round) % 90)}`;
      const body = JSON.stringify({ setUp: "planned", changes: [{ kind: "movePool", box: "hall-gateway", last }] });
      await ask(`${path}/changes`, { method: "POST", headers: { ...json, "If-Match": `"${version}"` }, body });
    }
  };
  await Promise.all(Array.from({ length: clients }, (_, i) => work(i)));
  times.sort((a, b) => a - b);
  const share = (part) => `${times[Math.floor(times.length * part)].toFixed(0)} ms`;
  const times = `half within ${share(0.5)}, 95 of 100 within ${share(0.95)}`;
  console.log(`${clients} clients, ${seconds} s: answers ${JSON.stringify(answers)}, ${times}`);
}

await run(1, 8);
await run(50, 60);

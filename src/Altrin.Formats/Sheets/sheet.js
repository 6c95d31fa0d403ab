// Ticks and deadlines are kept by the browser, so that closing the page loses neither.
const place = `altrin-sheet-${document.documentElement.dataset.sheet}`;
let kept = { ticks: {}, deadlines: {} };
try {
  kept = { ...kept, ...JSON.parse(localStorage.getItem(place) ?? "{}") };
} catch {
  // Where nothing can be kept, the page works until it is closed.
}
const keep = () => {
  try {
    localStorage.setItem(place, JSON.stringify(kept));
  } catch {
    // As above.
  }
};
for (const live of document.querySelectorAll(".live")) {
  live.hidden = false;
}
const boxes = [...document.querySelectorAll("[data-tick]")];
const count = () => {
  document.getElementById("done").textContent = document.querySelectorAll("ol [data-tick]:checked").length;
};
const show = (box) => box.closest("li").classList.toggle("done", box.checked);
for (const box of boxes) {
  box.checked = kept.ticks[box.dataset.tick] !== undefined;
  show(box);
  box.addEventListener("change", () => {
    if (box.checked) {
      kept.ticks[box.dataset.tick] = Date.now();
    } else {
      delete kept.ticks[box.dataset.tick];
    }
    keep();
    show(box);
    count();
  });
}
count();
document.getElementById("clear").addEventListener("click", () => {
  kept = { ticks: {}, deadlines: {} };
  keep();
  for (const box of boxes) {
    box.checked = false;
    show(box);
  }
  count();
  tell();
});
// On paper nothing is folded; on the screen it is then as it was.
const folds = [...document.querySelectorAll("details")];
let opened = [];
addEventListener("beforeprint", () => {
  opened = folds.filter((fold) => !fold.open);
  for (const fold of opened) {
    fold.open = true;
  }
});
addEventListener("afterprint", () => {
  for (const fold of opened) {
    fold.open = false;
  }
});
const timers = [...document.querySelectorAll("[data-timer]")];
const tell = () => {
  for (const timer of timers) {
    const deadline = kept.deadlines[timer.dataset.timer];
    const left = deadline === undefined ? null : Math.round((deadline - Date.now()) / 1000);
    const words = (s) => `${Math.floor(s / 60)}:${String(s % 60).padStart(2, "0")}`;
    timer.textContent = left === null ? "Start timer" : left >= 0 ? `${words(left)} left` : `over by ${words(-left)}`;
    timer.classList.toggle("over", left !== null && left < 0);
  }
};
for (const timer of timers) {
  timer.addEventListener("click", () => {
    if (kept.deadlines[timer.dataset.timer] === undefined) {
      kept.deadlines[timer.dataset.timer] = Date.now() + Number(timer.dataset.seconds) * 1000;
    } else {
      delete kept.deadlines[timer.dataset.timer];
    }
    keep();
    tell();
  });
}
tell();
setInterval(tell, 1000);

/** A time since the start, as "05:20", from an hour on as "1:05:20". */
export function clock(seconds: number): string {
  const two = (n: number) => String(n).padStart(2, "0");
  const [hours, minutes] = [Math.floor(seconds / 3600), Math.floor(seconds / 60) % 60];
  return hours > 0 ? `${hours}:${two(minutes)}:${two(seconds % 60)}` : `${two(minutes)}:${two(seconds % 60)}`;
}

/** A length of time in words, as short as a row allows: "45 s", "3 min", "1 min 20 s". */
export function lasting(seconds: number): string {
  const [minutes, rest] = [Math.floor(seconds / 60), seconds % 60];
  return minutes === 0 ? `${rest} s` : rest === 0 ? `${minutes} min` : `${minutes} min ${rest} s`;
}

/** A length of time as one says it: seconds below two minutes, whole minutes from then on, hours from an hour on. */
export function about(seconds: number): string {
  if (seconds < 120) {
    return lasting(seconds);
  }
  const minutes = Math.round(seconds / 60);
  const [hours, rest] = [Math.floor(minutes / 60), minutes % 60];
  return hours === 0 ? `${minutes} min` : rest === 0 ? `${hours} h` : `${hours} h ${rest} min`;
}

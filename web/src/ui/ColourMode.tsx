import { createContext, useContext, useEffect, useMemo, useState, type ReactNode } from "react";

export type ColourChoice = "system" | "light" | "dark";

const Context = createContext<{ choice: ColourChoice; choose: (choice: ColourChoice) => void } | null>(null);
const key = "altrin-colours";

function stored(): ColourChoice {
  const kept = localStorage.getItem(key);
  return kept === "light" || kept === "dark" ? kept : "system";
}

/** Light, dark, or as the system says; the choice is kept in this browser. */
export function ColourModeProvider({ children }: { children: ReactNode }) {
  const [choice, choose] = useState(stored);
  useEffect(() => {
    const system = matchMedia("(prefers-color-scheme: dark)");
    // Paper is white, and what is light on dark would be lost on it.
    const paper = matchMedia("print");
    const apply = () => {
      const dark = !paper.matches && (choice === "dark" || (choice === "system" && system.matches));
      document.documentElement.classList.toggle("dark", dark);
      document.documentElement.style.colorScheme = dark ? "dark" : "light";
    };
    localStorage.setItem(key, choice);
    apply();
    const asked = [system, paper];
    asked.forEach((query) => query.addEventListener("change", apply));
    return () => asked.forEach((query) => query.removeEventListener("change", apply));
  }, [choice]);
  const value = useMemo(() => ({ choice, choose }), [choice]);
  return <Context.Provider value={value}>{children}</Context.Provider>;
}

export function useColourMode() {
  const value = useContext(Context);
  if (!value) {
    throw new Error("useColourMode needs its provider");
  }
  return value;
}

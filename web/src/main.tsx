import createCache from "@emotion/cache";
import { CacheProvider } from "@emotion/react";
import { ChakraProvider } from "@chakra-ui/react";
import "@fontsource-variable/atkinson-hyperlegible-mono";
import "@fontsource-variable/atkinson-hyperlegible-next";
import { QueryClientProvider } from "@tanstack/react-query";
import { StrictMode } from "react";
import { createRoot } from "react-dom/client";
import { App } from "./App";
import { makeQueryClient } from "./queryClient";
import { ColourModeProvider } from "./ui/ColourMode";
import { system } from "./ui/theme";

const nonce = document.querySelector<HTMLMetaElement>("meta[name=style-nonce]")?.content;
const cache = createCache({ key: "css", nonce });

const root = document.getElementById("root");
if (root) {
  createRoot(root).render(
    <StrictMode>
      <CacheProvider value={cache}>
        <ChakraProvider value={system}>
          <ColourModeProvider>
            <QueryClientProvider client={makeQueryClient()}>
              <App />
            </QueryClientProvider>
          </ColourModeProvider>
        </ChakraProvider>
      </CacheProvider>
    </StrictMode>,
  );
}

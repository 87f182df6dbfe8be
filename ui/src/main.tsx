import "antd/dist/reset.css";
import "@fontsource-variable/fraunces";
import "@fontsource-variable/source-sans-3";
import "./app/tokens.css";
import "./app/frame.css";

import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { App as AntApp, ConfigProvider } from "antd";
import { StrictMode } from "react";
import { createRoot } from "react-dom/client";
import { BrowserRouter } from "react-router";

import { Places } from "./app/Places";
import { pageNonce, theme } from "./app/theme";

const queries = new QueryClient({
  defaultOptions: { queries: { retry: 1, refetchOnWindowFocus: false, staleTime: 5_000 } },
});

// Shows what was seen last while the line is gone, and lets the page be put on a
// phone's home screen.
if (import.meta.env.PROD && "serviceWorker" in navigator) {
  void navigator.serviceWorker.register("/offline.js").catch(() => undefined);
}

const root = document.getElementById("root");
if (root) {
  createRoot(root).render(
    <StrictMode>
      <ConfigProvider theme={theme} csp={{ nonce: pageNonce() }}>
        <AntApp>
          <QueryClientProvider client={queries}>
            <BrowserRouter>
              <Places />
            </BrowserRouter>
          </QueryClientProvider>
        </AntApp>
      </ConfigProvider>
    </StrictMode>,
  );
}

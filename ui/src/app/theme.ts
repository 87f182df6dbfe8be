import type { ThemeConfig } from "antd";

/** The look's tokens for the general components; the same colours stand in tokens.css. */
export const theme: ThemeConfig = {
  token: {
    // Who asked the system for calm gets it here too.
    motion: !globalThis.matchMedia?.("(prefers-reduced-motion: reduce)").matches,
    colorPrimary: "#3E6B48",
    colorInfo: "#3D4E81",
    colorError: "#A8481F",
    colorWarning: "#C98A12",
    colorText: "#2A2431",
    colorTextSecondary: "#6A6172",
    colorTextPlaceholder: "#6A6172",
    colorBgBase: "#FFFFFF",
    colorBorder: "#CFC6B4",
    borderRadius: 6,
    fontFamily: '"Source Sans 3 Variable", "Segoe UI", sans-serif',
    fontSize: 15,
    boxShadow: "none",
    controlHeight: 34,
  },
};

/** The nonce that the page was served with, for styles made at run time. */
export function pageNonce(): string {
  return document.querySelector<HTMLMetaElement>('meta[name="csp-nonce"]')?.content ?? "";
}

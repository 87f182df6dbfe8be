import i18next from "i18next";

import en from "./en.json";

declare module "i18next" {
  interface CustomTypeOptions {
    defaultNS: "texts";
    resources: { texts: typeof en };
  }
}

// The texts of the client, by key; each language is a table beside this file.
void i18next.init({
  lng: "en",
  fallbackLng: "en",
  defaultNS: "texts",
  ns: ["texts"],
  resources: { en: { texts: en } },
  initAsync: false,
  interpolation: { escapeValue: false }, // React escapes
});

/** What the program says by a key, with what stands in its places. */
export const worded = i18next.t;

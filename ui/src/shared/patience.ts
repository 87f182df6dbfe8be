import { configure } from "@testing-library/react";

// Tests wait for what they look for, on slow and busy machines too; only what
// never comes fails them.
configure({ asyncUtilTimeout: 15_000 });

import "@testing-library/jest-dom/vitest";
import { cleanup, configure } from "@testing-library/react";
import { afterEach } from "vitest";

afterEach(cleanup);

// What is looked for is there as soon as it is drawn; a machine that does much else draws it later than the second that is usual.
configure({ asyncUtilTimeout: 20_000 });

import type { Design } from "../../api/client";

/** Whether so much is there that devices are folded, boxes drawn smaller and the address rule hidden at first. */
export const crowded = (design: Design): boolean => design.site.boxes.length * 2 + design.site.devices.length > 34;

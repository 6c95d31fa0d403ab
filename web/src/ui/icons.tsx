import {
  Gamepad2,
  HardDrive,
  Laptop,
  Monitor,
  Package,
  Printer,
  Smartphone,
  Tablet,
  ToggleRight,
  Tv,
  Video,
  type LucideIcon,
} from "lucide-react";
import type { Schemas } from "../api/client";

/** One sign for each kind of device; the list is complete by its type. */
export const deviceIcons: Record<Schemas["DeviceKind"], LucideIcon> = {
  phone: Smartphone,
  tablet: Tablet,
  laptop: Laptop,
  computer: Monitor,
  printer: Printer,
  recorder: Video,
  television: Tv,
  console: Gamepad2,
  controller: ToggleRight,
  storage: HardDrive,
  other: Package,
};

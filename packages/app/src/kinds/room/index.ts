import { type Room, rectangleDefaults, roomDefaults } from "@wide-porch/core";
import { lazy } from "react";
import type { KindFace } from "../kindFace";

export const roomFace: KindFace<Room> = {
  group: "Rooms",
  starts: [
    {
      label: "Room, wall by wall",
      words: "Stand in a corner and read each wall in turn",
      noun: "Room",
      make: roomDefaults,
      figure: "runs.a.length",
    },
    {
      label: "Room, a rectangle",
      words: "Two figures",
      noun: "Room",
      make: rectangleDefaults,
      figure: "runs.a.length",
    },
  ],
  Screen: lazy(() => import("./RoomScreen")),
};

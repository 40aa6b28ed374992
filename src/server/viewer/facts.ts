import type { RoomFacts } from "@/contract/workspace";
import { mayBuild, mayKeep } from "../library/kept";
import type { Desk } from "./viewpoint";

/** What a room needs to read sentences by itself. */
export const roomFacts = ({ view, data, viewer }: Desk): RoomFacts => ({
  data,
  calendar: { ...view.calendar, holidays: [...view.calendar.holidays] },
  now: view.now,
  viewer: {
    person: viewer.person,
    team: viewer.team,
    teams: viewer.teams,
    projects: viewer.projects,
  },
  mayBuild: mayBuild(viewer),
  mayKeep: mayKeep(viewer),
  mayChangeItems: !viewer.isClient,
});

/** The people, places and things of Saltmarsh Ferries. All invented. */
export const ZONE = "Europe/Lisbon";
export const DEMO_PASSWORD = "low-tide-at-nine";

export const TEAMS = [
  ["Service desk", "ines"],
  ["Landing systems", "sunniva"],
  ["Berth radio crew", "joss"],
  ["Engine shop", "tomas"],
  ["Crew support", "wren"],
  ["Booking site", "aoife"],
  ["Tickets and fares", "idris"],
  ["Engineering office", "cal"],
  ["Island councils", "halvard"],
] as const;
export type Team = (typeof TEAMS)[number][0];

/** Those whom the sign-in page offers, with what they may do. */
export const FIGURES = [
  {
    login: "runa",
    name: "Runa Vale",
    team: "Service desk",
    role: "administrator",
    says: "Keeps the workspace; sees everything.",
  },
  {
    login: "ines",
    name: "Inês Duarte",
    team: "Service desk",
    role: "builder",
    says: "Makes reports for everybody.",
  },
  {
    login: "sunniva",
    name: "Sunniva Okoro",
    team: "Landing systems",
    role: "member",
    says: "Leads Landing systems; opens one dashboard each morning.",
  },
  {
    login: "tomas",
    name: "Tomas Reyl",
    team: "Engine shop",
    role: "member",
    says: "Works on faults; sees what is his team's.",
  },
  {
    login: "aoife",
    name: "Aoife Brandt",
    team: "Booking site",
    role: "member",
    says: "Plans sprints and watches them burn.",
  },
  {
    login: "halvard",
    name: "Halvard Moe",
    team: "Island councils",
    role: "member",
    says: "Manager; reads.",
  },
] as const;

const FIRST = [
  "Mika",
  "Joss",
  "Wren",
  "Idris",
  "Cal",
  "Petra",
  "Bram",
  "Tove",
  "Sena",
  "Ruth",
  "Alva",
  "Niko",
  "Orla",
  "Pax",
  "Quill",
  "Rhea",
  "Stellan",
  "Tamsin",
  "Ulf",
  "Vesna",
  "Wim",
  "Xenia",
  "Yorick",
  "Zofia",
  "Anouk",
  "Bento",
  "Carys",
  "Dario",
  "Elin",
  "Fenn",
  "Greta",
  "Hale",
  "Imke",
  "Jarl",
  "Kaia",
  "Lior",
  "Maren",
  "Nils",
  "Odile",
  "Piers",
  "Ragna",
  "Signe",
  "Teo",
  "Una",
  "Viggo",
  "Willa",
  "Yara",
  "Zeno",
  "Ansel",
  "Brita",
  "Corin",
  "Dagny",
  "Eskil",
  "Freya",
];
const LAST = [
  "Brandt",
  "Lindqvist",
  "Amsel",
  "Whitlock",
  "Pym",
  "Holm",
  "Winter",
  "Marrow",
  "Sandholm",
  "Kelp",
  "Thorne",
  "Quist",
  "Ravel",
  "Strand",
  "Ostler",
  "Fenwick",
];
const TEAM_SIZES: readonly (readonly [Team, number])[] = [
  ["Service desk", 7],
  ["Landing systems", 8],
  ["Berth radio crew", 5],
  ["Engine shop", 7],
  ["Crew support", 5],
  ["Booking site", 7],
  ["Tickets and fares", 6],
  ["Engineering office", 6],
  ["Island councils", 3],
];

export interface Person {
  readonly login: string;
  readonly name: string;
  readonly team: Team;
  readonly role: string;
  readonly client: string;
}

/** Sixty people: the figures, and the rest team by team. */
export const PEOPLE: readonly Person[] = (() => {
  const people: Person[] = FIGURES.map(({ login, name, team, role }) => ({
    login,
    name,
    team,
    role,
    client: "",
  }));
  let next = 0;
  for (const [team, size] of TEAM_SIZES) {
    for (let i = 0; i < size; i += 1, next += 1) {
      const first = FIRST[next % FIRST.length];
      people.push({
        login: first.toLowerCase(),
        name: `${first} ${LAST[(next * 7) % LAST.length]}`,
        team,
        role: first === "Cal" || first === "Idris" ? "builder" : "member",
        client: team === "Island councils" ? "Sandholm council" : "",
      });
    }
  }
  return people.map((person) =>
    person.login === "joss"
      ? { ...person, team: "Berth radio crew" as Team }
      : person.login === "wren"
        ? { ...person, team: "Crew support" as Team }
        : person.login === "idris"
          ? { ...person, team: "Tickets and fares" as Team }
          : person.login === "cal"
            ? { ...person, team: "Engineering office" as Team }
            : person,
  );
})();

export const SERVICES: readonly (readonly [string, Team])[] = [
  ["Gate readers", "Landing systems"],
  ["Ticket kiosks", "Landing systems"],
  ["Turnstiles", "Landing systems"],
  ["Timetable screens", "Landing systems"],
  ["Berth radios", "Berth radio crew"],
  ["Ship to shore links", "Berth radio crew"],
  ["Fuel gauges", "Engine shop"],
  ["Engines", "Engine shop"],
  ["Ramps", "Engine shop"],
  ["Crew tablets", "Crew support"],
  ["Rosters", "Crew support"],
  ["Booking site", "Booking site"],
  ["Payments", "Tickets and fares"],
  ["Fares", "Tickets and fares"],
];

export const LANDINGS = [
  "Sandholm Quay",
  "Pell Island",
  "Oxney Landing",
  "North Pier",
  "Marram Landing",
  "Kittiwake Steps",
  "Brack Harbour",
  "Tern Point",
  "Low Ness",
  "Eider Bay",
  "Salter's Hard",
  "Gannet Rock",
  "Long Reach",
  "Mill Creek",
];
export const VESSELS = [
  "MV Curlew",
  "MV Dunlin",
  "MV Grey Heron",
  "MV Little Auk",
  "MV Oystercatcher",
  "MV Redshank",
  "MV Sanderling",
  "MV Tern 2",
  "MV Tern 10",
];

export const STATUSES = [
  ["Logged", "waiting", "desk"],
  ["Triaged", "waiting", "desk"],
  ["In hand", "under way", "desk"],
  ["Waiting for parts", "waiting", "desk"],
  ["On trial", "under way", "desk"],
  ["Signed off", "finished", "desk"],
  ["Withdrawn", "finished", "desk"],
  ["Noted", "waiting", "software"],
  ["Ready", "waiting", "software"],
  ["Building", "under way", "software"],
  ["Checking", "under way", "software"],
  ["Shipped", "finished", "software"],
  ["Dropped", "finished", "software"],
] as const;

export const KINDS = [
  ["fault", "faults", "desk"],
  ["request", "requests", "desk"],
  ["change", "changes", "desk"],
  ["story", "stories", "software"],
  ["issue", "issues", "software"],
  ["task", "tasks", "software"],
] as const;

export const PRIORITIES = [
  ["P1", "1", "2h", "24h", "always"],
  ["P2", "2", "4h", "5d", "working"],
  ["P3", "3", "1d", "10d", "working"],
  ["P4", "4", "", "20d", "working"],
] as const;

/** project, type, portfolio, client, manager, teams that may see it (none: everyone), budget */
export const PROJECTS = [
  ["Heron refit", "refit", "Fleet", "", "cal", "Engineering office", "420000"],
  ["Curlew refit", "refit", "Fleet", "", "cal", "Engineering office", "380000"],
  [
    "Electric shuttle",
    "vessel",
    "Fleet",
    "Isle of Brack council",
    "cal",
    "Engineering office;Island councils",
    "1900000",
  ],
  [
    "New quay at Oxney",
    "works",
    "Landings",
    "Sandholm council",
    "cal",
    "Engineering office;Island councils",
    "900000",
  ],
  ["Gate readers 4", "rollout", "Landings", "", "sunniva", "", "150000"],
  ["Shelter roofs", "works", "Landings", "Pell council", "cal", "Engineering office", "60000"],
  ["Booking site 3", "software", "Digital", "", "aoife", "", "240000"],
  [
    "One ticket",
    "software",
    "Digital",
    "Sandholm council",
    "idris",
    "Booking site;Tickets and fares",
    "180000",
  ],
  ["Crew app", "software", "Digital", "", "wren", "", "90000"],
  ["Winter timetable", "software", "Digital", "", "aoife", "", "30000"],
] as const;

export const WRONGS: Readonly<Record<string, readonly string[]>> = {
  "Gate readers": [
    "rejects paper tickets",
    "beeps without end",
    "slow after firmware 4.2",
    "shows the wrong day",
    "arm sticks in frost",
    "lamp dark on berth two",
  ],
  "Ticket kiosks": [
    "printer jams on return slips",
    "has no paper",
    "card slot takes two tries",
    "reboots at noon",
    "screen cracked",
  ],
  Turnstiles: ["counts twice", "will not turn back", "squeals in the rain"],
  "Timetable screens": [
    "upside down",
    "an hour off after the clock change",
    "blank since the storm",
  ],
  "Berth radios": [
    "hisses, then nothing",
    "battery swells",
    "handset loses its channel",
    "drowned in spray",
  ],
  "Ship to shore links": ["drops behind the headland", "will not come back after a squall"],
  "Fuel gauges": ["reads full when half empty", "sticks at half", "disagrees with the dip"],
  Engines: ["runs hot on the second crossing", "will not idle", "leaks at the aft seal"],
  Ramps: ["sensor stuck", "lowers by itself", "grinds on the way up"],
  "Crew tablets": ["will not sync", "needs a new case", "lost at sea"],
  Rosters: ["shows last month", "double-books the mate"],
  "Booking site": ["slow on the Pell pier page", "forgets the return date", "sends two mails"],
  Payments: ["takes the card twice", "refuses island cards"],
  Fares: ["child fare on a dog", "winter price in June"],
};

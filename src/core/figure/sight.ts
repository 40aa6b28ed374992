/** Who does not see everything: by their name, and the projects whose items they see. Nothing is told of the others. */
export interface Sight {
  readonly name: string;
  readonly projects: readonly string[];
}

/** "counted over what Inês may see: 7 projects and items of none": stands under every figure of theirs. */
export function sightWords({ name, projects }: Sight): string {
  const [first] = name.split(" ");
  const seen =
    projects.length === 0
      ? "items of no project"
      : `${projects.length === 1 ? "1 project" : `${projects.length} projects`} and items of none`;
  return `counted over what ${first} may see: ${seen}`;
}

/** Facts beside one another: those that are there, with a dot between. */
export const joined = (facts: readonly string[]): string => facts.filter((each) => each !== '').join(' · ');

let id: string | null = null;

/** Who is at this bench: a reading belongs to whoever measured it, however late it is sent. */
export const whoIsHere = (): string | null => id;
export const setWhoIsHere = (person: string | null): void => {
  id = person;
};

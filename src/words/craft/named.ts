/** A record's name: as a heading, and as it stands inside a sentence. */
export interface Named {
  name: string;
  inText: string;
}

/** With a short form for columns and captions. */
export interface ShortNamed extends Named {
  shortName: string;
}

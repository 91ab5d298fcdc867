/** What a US gallon of water weighs, pounds, at 60 °F: in every calculation. */
export const poundsPerGallon = 8.345;

/** What label text counts for it: 49 CFR 571.110 S9.3, from memory. */
export const labelPoundsPerGallon = 8.3;

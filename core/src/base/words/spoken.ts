const ones: Readonly<Record<string, number>> = {
  one: 1,
  two: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  seven: 7,
  eight: 8,
  nine: 9,
  ten: 10,
  eleven: 11,
  twelve: 12,
  thirteen: 13,
  fourteen: 14,
  fifteen: 15,
  sixteen: 16,
  seventeen: 17,
  eighteen: 18,
  nineteen: 19,
};
const tens: Readonly<Record<string, number>> = {
  twenty: 20,
  thirty: 30,
  forty: 40,
  fifty: 50,
  sixty: 60,
  seventy: 70,
  eighty: 80,
  ninety: 90,
};
const scales: Readonly<Record<string, number>> = { hundred: 100, thousand: 1000 };

const numberWord = `(?:${[...Object.keys(ones), ...Object.keys(tens), ...Object.keys(scales)].join('|')})`;
/** A number in figures or in words, as a piece of a regular expression. */
export const spokenNumber = String.raw`(?:\d[\d,]*(?:\.\d+)?k?|${numberWord}(?:[- ](?:and )?${numberWord})*)`;

const wordValue = (word: string): number => ones[word] ?? tens[word] ?? 0;

/** A number in figures or in words. @example numberSpoken('forty-seven') // 47 */
export const numberSpoken = (text: string): number => {
  const figures = /^(\d[\d,]*(?:\.\d+)?)(k?)$/i.exec(text.trim());
  if (figures) return Number(figures[1]?.replaceAll(',', '')) * (figures[2] ? 1000 : 1);
  const words = text.toLowerCase().split(/[- ]+/);
  const { sum, part } = words.reduce(
    (so, word) => {
      const scale = scales[word];
      if (scale === undefined) return { ...so, part: so.part + wordValue(word) };
      const times = Math.max(so.part, 1) * scale;
      return scale === 100 ? { ...so, part: times } : { sum: so.sum + times, part: 0 };
    },
    { sum: 0, part: 0 },
  );
  return sum + part;
};

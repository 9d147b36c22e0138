/** A function that keeps its last answer for as long as it is asked the same things, by identity. */
export const keepingLast = <Asked extends unknown[], Answer>(
  answer: (...asked: Asked) => Answer,
): ((...asked: Asked) => Answer) => {
  let last: { asked: Asked; answer: Answer } | null = null;
  return (...asked) => {
    if (!last || !asked.every((one, index) => one === last?.asked[index]))
      last = { asked, answer: answer(...asked) };
    return last.answer;
  };
};

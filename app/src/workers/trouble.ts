type Told = (words: string) => void;

let told: Told = () => undefined;

/** Whoever takes note of what goes wrong in a worker. */
export const onWorkerTrouble = (listener: Told): void => {
  told = listener;
};

/** What a worker said when it failed, its stack on further lines; or why it was given up. */
export const workerTrouble = (words: string): void => told(words);

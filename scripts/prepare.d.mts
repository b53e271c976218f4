/** Bundles the command line into a folder. */
export function bundleJt(folder: string): Promise<void>;

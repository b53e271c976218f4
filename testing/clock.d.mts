export const TEST_NOW: string;
export const TEST_ZONE: string;
export const TEST_NOW_ms: number;
export const TEST_DAY: string;
export const HARD_MOMENTS: readonly { now: string; zone: string; why: string }[];

export function testDay(now?: Date): string;

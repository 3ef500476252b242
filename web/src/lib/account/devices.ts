/** What a browser calls itself, said as people say it. */
const BROWSERS: [string, string][] = [
  ["Edg/", "Edge"],
  ["OPR/", "Opera"],
  ["Firefox/", "Firefox"],
  ["Chrome/", "Chrome"],
  ["Safari/", "Safari"],
];
const MACHINES: [string, string][] = [
  ["iPad", "iPad"],
  ["iPhone", "iPhone"],
  ["Android", "Android"],
  ["Windows", "Windows"],
  ["Macintosh", "Mac"],
  ["Linux", "Linux"],
];

export function deviceOf(userAgent: string): string {
  const among = (names: [string, string][]) => names.find(([mark]) => userAgent.includes(mark))?.[1];
  return [among(BROWSERS), among(MACHINES)].filter(Boolean).join(" on ") || "an unknown device";
}

const KEPT = [
  /^\/api\/v1\/session$/,
  /^\/api\/v1\/(homes|tanks)$/,
  /^\/api\/v1\/tanks\/[^/]+(\/glance)?$/,
  /^\/api\/v1\/homes\/[^/]+\/(readiness|card|due)$/,
];

/** Which answers are kept for a time without the server: what the Outage and Readiness screens stand on. */
export const kept = (path: string) => KEPT.some((pattern) => pattern.test(path));

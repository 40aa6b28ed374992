const root = import.meta.dirname;
/** @type {import("next").NextConfig} */
const config = {
  poweredByHeader: false,
  devIndicators: false,
  compiler: {
    styledComponents: { displayName: process.env.NODE_ENV !== "production", pure: true },
  },
  turbopack: { root },
  outputFileTracingRoot: root,
  serverExternalPackages: [
    "@mikro-orm/core",
    "@mikro-orm/knex",
    "@mikro-orm/postgresql",
    "@mikro-orm/migrations",
    "knex",
    "pg",
    "graphile-worker",
    "@node-rs/argon2",
    "pino",
    "yauzl",
    "csv-parse",
    "csv-stringify",
    "pg-query-stream",
    "exceljs",
    "nodemailer",
    "smtp-server",
    "mailparser",
    "playwright-core",
  ],
  experimental: { proxyClientMaxBodySize: "512mb" },
  headers: async () => [
    {
      source: "/:path*",
      headers: [
        { key: "X-Content-Type-Options", value: "nosniff" },
        { key: "Referrer-Policy", value: "same-origin" },
        { key: "X-Frame-Options", value: "DENY" },
        { key: "Cross-Origin-Opener-Policy", value: "same-origin" },
        {
          key: "Permissions-Policy",
          value: "camera=(), geolocation=(), microphone=(), payment=()",
        },
      ],
    },
    {
      // Pages have a policy of their own (src/proxy.ts); what programs get runs nothing.
      source: "/api/:path*",
      headers: [
        { key: "Content-Security-Policy", value: "default-src 'none'; frame-ancestors 'none'" },
      ],
    },
  ],
  distDir: process.env.GRAND_TALLY_DIST ?? ".next",
};

export default config;

const { getDefaultConfig } = require("expo/metro-config");
const { withNativeWind } = require("nativewind/metro");

const config = getDefaultConfig(__dirname);

/** Zod carries its messages in some fifty languages through one file; English is loaded apart from it. */
const zodLocales = (context, name) =>
  name.endsWith("/locales/index.js") && /[\\/]zod[\\/]/.test(context.originModulePath);

/** JSON Schemas are written by scripts and by the server; pages check records by zod alone. */
const zodJsonSchemas = (context, name) =>
  /\/(from-json-schema|json-schema-processors)\.js$/.test(name) && /[\\/]zod[\\/]/.test(context.originModulePath);

/** A list of all routes, which the app does not have. */
const sitemap = (context, name) =>
  name.endsWith("/views/Sitemap") && /[\\/]expo-router[\\/]/.test(context.originModulePath);

const LEFT_OUT = [zodLocales, zodJsonSchemas, sitemap];

config.resolver.resolveRequest = (context, name, platform) => {
  if (LEFT_OUT.some((leaves) => leaves(context, name))) return { type: "empty" };
  return context.resolveRequest(context, name, platform);
};

/** In development the page comes from Metro and the API from the server: one origin, as when it is served for real. */
const api = process.env.WIDE_PORCH_API;
if (api) {
  const http = require("node:http");
  const target = new URL(api);
  config.server.enhanceMiddleware = (metro) => (request, response, next) => {
    if (!request.url.startsWith("/api/")) return metro(request, response, next);
    const options = {
      host: target.hostname,
      port: target.port,
      path: request.url,
      method: request.method,
      headers: request.headers,
    };
    const passed = http.request(options, (answer) => {
      response.writeHead(answer.statusCode, answer.headers);
      answer.pipe(response);
    });
    passed.on("error", () => response.writeHead(502).end());
    return request.pipe(passed);
  };
}

module.exports = withNativeWind(config, { input: "./global.css" });

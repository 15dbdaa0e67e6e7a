const { join } = require("node:path");
const { buildSync } = require("esbuild");
const { getDefaultConfig } = require("expo/metro-config");
const { withNativeWind } = require("nativewind/metro");

const config = getDefaultConfig(__dirname);

/** Zod carries its messages in some fifty languages through one file; English is loaded apart from it. */
const zodLocales = (context, name) =>
  name.endsWith("/locales/index.js") && /[\\/]zod[\\/]/.test(context.originModulePath);

/** Metro takes a package whole. Of mathjs only the parser is wanted, a quarter of it: esbuild leaves out the rest first. */
const MATHJS_PARSER = join(__dirname, "../../.cache/mathjs-parser.js");
buildSync({
  stdin: { contents: 'export { create, parseDependencies } from "mathjs/number";', resolveDir: __dirname },
  outfile: MATHJS_PARSER,
  bundle: true,
  minify: true,
  format: "esm",
  target: "es2020",
  logLevel: "error",
});
config.watchFolders = [...(config.watchFolders ?? []), join(__dirname, "../../.cache")];

config.resolver.resolveRequest = (context, name, platform) => {
  if (zodLocales(context, name)) return { type: "empty" };
  if (name === "mathjs/number") return { type: "sourceFile", filePath: MATHJS_PARSER };
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

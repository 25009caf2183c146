# The application alone, behind a database and a TLS proxy of the shop's own: docs/deploy.md. Builds from Debian's packages
# and the npm registry, and from nothing else. Debian 13 has the Node.js that is needed.
FROM debian:13-slim AS node
RUN apt-get update \
 && apt-get install -y --no-install-recommends nodejs ca-certificates \
 && rm -rf /var/lib/apt/lists/*

FROM node AS built
RUN apt-get update && apt-get install -y --no-install-recommends npm
WORKDIR /zanjador
COPY package.json package-lock.json ./
RUN npm ci --no-audit --no-fund
COPY . .
RUN npm run build:tools && npm run build:app && npm prune --omit=dev

FROM node
RUN useradd --system --uid 4280 zanjador
WORKDIR /zanjador
COPY --from=built /zanjador/package.json ./
COPY --from=built /zanjador/node_modules ./node_modules
COPY --from=built /zanjador/.build ./.build
COPY --from=built /zanjador/build ./build
USER zanjador
ENV HOST=0.0.0.0 PORT=4280 BODY_SIZE_LIMIT=6M ADDRESS_HEADER=X-Forwarded-For
EXPOSE 4280
# DATABASE_URL: the application's role; ORIGIN: what people type. Migrations run apart, by the owner of the database.
CMD ["node", ".build/scripts/serve.js"]

import { createHash, createHmac } from "node:crypto";
import { createServer, type IncomingMessage } from "node:http";
import type { AddressInfo } from "node:net";

export interface S3StandIn {
  endpoint: string;
  bucket: string;
  accessKey: string;
  secretKey: string;
  /** What lies in it, by key. */
  objects: Map<string, { bytes: Buffer; type: string }>;
  /** Requests that were refused, with the reason. */
  refused: string[];
  /** While it is set, nothing is answered but 503. */
  down: boolean;
  /** The variables that make a process keep its files here. */
  env: Record<string, string>;
  stop(): void;
}

const sha256 = (bytes: Buffer | string) => createHash("sha256").update(bytes).digest("hex");
const hmac = (key: Buffer | string, text: string) => createHmac("sha256", key).update(text).digest();

/** A small store that speaks as much of S3 as files need, and takes nothing that is not signed as it must be. */
export async function startS3StandIn(secretKey = "a secret of the tests"): Promise<S3StandIn> {
  const accessKey = "FASTIGOTESTS";
  const bucket = "fastigo-media";
  const objects: S3StandIn["objects"] = new Map();
  const refused: string[] = [];
  const server = createServer(async (request, response) => {
    const parts: Buffer[] = [];
    for await (const part of request) parts.push(part as Buffer);
    const body = Buffer.concat(parts);
    if (standIn.down) return response.writeHead(503).end();
    const fault = faultOf(request, body, accessKey, secretKey);
    if (fault) {
      refused.push(fault);
      return response
        .writeHead(403, { "Content-Type": "application/xml" })
        .end(`<Error><Code>SignatureDoesNotMatch</Code><Message>${fault}</Message></Error>`);
    }
    const path = decodeURIComponent(new URL(request.url!, "http://x").pathname);
    const key = path.slice(`/${bucket}/`.length);
    if (!path.startsWith(`/${bucket}/`)) return response.writeHead(404).end();
    if (request.method === "PUT") {
      objects.set(key, { bytes: body, type: request.headers["content-type"] ?? "" });
      return response.writeHead(200).end();
    }
    if (request.method === "DELETE") {
      objects.delete(key);
      return response.writeHead(204).end();
    }
    const found = objects.get(key);
    if (!found)
      return response
        .writeHead(404, { "Content-Type": "application/xml" })
        .end("<Error><Code>NoSuchKey</Code></Error>");
    const [, from, to] = request.headers.range?.match(/^bytes=(\d+)-(\d+)$/) ?? [];
    if (from === undefined) return response.writeHead(200, { "Content-Type": found.type }).end(found.bytes);
    response.writeHead(206).end(found.bytes.subarray(Number(from), Number(to) + 1));
  });
  await new Promise<void>((resolve) => server.listen(0, "127.0.0.1", resolve));
  const endpoint = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  const standIn: S3StandIn = {
    endpoint,
    bucket,
    accessKey,
    secretKey,
    objects,
    refused,
    down: false,
    env: {
      MEDIA_STORE: "s3",
      S3_ENDPOINT: endpoint,
      S3_BUCKET: bucket,
      S3_ACCESS_KEY: accessKey,
      S3_SECRET_KEY: secretKey,
    },
    stop: () => {
      server.closeAllConnections();
      server.close();
    },
  };
  return standIn;
}

/** Why a request is not to be taken; null when it is signed rightly (AWS Signature Version 4, "Create a signed request"). */
function faultOf(request: IncomingMessage, body: Buffer, accessKey: string, secretKey: string): string | null {
  const said = request.headers.authorization?.match(
    /^AWS4-HMAC-SHA256 Credential=([^/]+)\/(\d{8})\/([^/]+)\/s3\/aws4_request, SignedHeaders=([^,]+), Signature=([0-9a-f]{64})$/,
  );
  if (!said) return "not signed";
  const [, key, day, region, signed, signature] = said as unknown as string[];
  if (key !== accessKey) return "an unknown key";
  const content = request.headers["x-amz-content-sha256"];
  if (content !== sha256(body)) return "other bytes than were signed";
  for (const needed of ["host", "x-amz-content-sha256", "x-amz-date"])
    if (!signed!.split(";").includes(needed)) return `${needed} is not signed`;
  const url = new URL(request.url!, "http://x");
  const query = [...url.searchParams]
    .map(([k, v]) => `${encodeURIComponent(k)}=${encodeURIComponent(v)}`)
    .sort()
    .join("&");
  const headers = signed!.split(";").map((name) => `${name}:${String(request.headers[name]).trim()}\n`);
  const canonical = [request.method, url.pathname, query, headers.join(""), signed, content].join("\n");
  const scope = `${day}/${region}/s3/aws4_request`;
  const text = ["AWS4-HMAC-SHA256", request.headers["x-amz-date"], scope, sha256(canonical)].join("\n");
  const own = hmac(hmac(hmac(hmac(hmac(`AWS4${secretKey}`, day!), region!), "s3"), "aws4_request"), text);
  return own.toString("hex") === signature ? null : "a signature that is not right";
}

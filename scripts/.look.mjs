import { chromium } from "@playwright/test";
import { CHROMIUM, CHROMIUM_ARGS } from "./lib/chromium.mjs";
const A="http://localhost:3100";
const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_ARGS });
export async function as(person,size={width:1280,height:800}){const c=await browser.newContext({viewport:size,reducedMotion:"reduce"});const p=await c.newPage();await p.goto(A+"/sign-in");await p.getByLabel("E-mail or sign-in name").fill(person+"@hollinbank.example");await p.getByLabel("Password").fill("over-the-ambrel");await p.getByRole("button",{name:"Sign in"}).click();await p.getByRole("heading",{name:"Your timelines"}).waitFor();return p;}
const which=process.argv[2];
const p=await as("ward");
const shot=async(n,full=false)=>p.screenshot({path:`/tmp/shots/${n}.png`,fullPage:full});
if(which==="1"){
 await p.goto(A+"/teaching"); await shot("teaching");
 await p.goto(A+"/"); await p.getByRole("link",{name:"History 8B"}).first().click(); await p.getByRole("heading",{name:"History 8B"}).waitFor(); await shot("class",true);
 const href=await p.getByRole("link",{name:"Crossing project"}).first().getAttribute("href");
 await p.goto(A+href+"/edit"); await p.waitForTimeout(800); await shot("maker",true);
 await p.goto(A+href); await p.getByRole("link",{name:/Junia/}).first().click(); await p.getByRole("complementary",{name:"Marking"}).waitFor(); await p.waitForTimeout(500); await shot("desk");
}
await browser.close();

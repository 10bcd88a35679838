import { chromium } from "@playwright/test";
import { CHROMIUM, CHROMIUM_ARGS } from "./lib/chromium.mjs";
const A="http://localhost:3100";
const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_ARGS });
export async function as(person,size={width:1280,height:800}){const c=await browser.newContext({viewport:size,reducedMotion:"reduce"});const p=await c.newPage();await p.goto(A+"/sign-in");await p.getByLabel("E-mail or sign-in name").fill(person.includes("-")?person:person+"@hollinbank.example");await p.getByLabel("Password").fill("over-the-ambrel");await p.getByRole("button",{name:"Sign in"}).click();await p.getByRole("heading",{name:"Your timelines"}).waitFor();return p;}
const which=process.argv[2];
const p=await as("ward");
const shot=async(n,full=false,q=p)=>q.screenshot({path:`/tmp/shots/${n}.png`,fullPage:full});
await p.goto(A+"/"); const cl=await p.getByRole("link",{name:"History 8B"}).first().getAttribute("href"); await p.goto(A+cl); await p.getByRole("heading",{name:"History 8B"}).waitFor();
const href=await p.getByRole("link",{name:"Crossing project"}).first().getAttribute("href");
if(which==="1"){
 await p.goto(A+href+"/edit"); await p.waitForTimeout(800); await p.setViewportSize({width:1280,height:1500}); await shot("maker");await p.setViewportSize({width:1280,height:800});
 await p.goto(A+href+"/figures"); await p.waitForTimeout(1500); await shot("figures",true);
 await p.goto(A+href); await p.getByRole("link",{name:/Junia/}).first().click(); await p.getByRole("complementary",{name:"Marking"}).waitFor(); 
 const who=await p.getByRole("link",{name:"Who did what"}).getAttribute("href"); await p.goto(A+who); await p.waitForTimeout(1500); await shot("who",true);
 await p.goto(A+cl); await p.getByRole("button",{name:"Add students from a list"}).click(); await p.getByLabel("Names").fill("Ada, Ada Byron\nJonas\nMila K., Mila Kovac\nJonas\n, nobody"); await shot("roster");
 await p.getByRole("button",{name:/Add 3 students/}).click(); await p.getByTestId("slip").first().waitFor(); await shot("slips");
}
if(which==="2"){
 const names=await p.locator("li:has-text('wren-')").first().innerText(); const sn=names.match(/wren-\d+/)[0];
 const q=await as(sn); await q.getByRole("link",{name:"Crossing project"}).first().click(); await q.getByTestId("chart").waitFor(); await q.getByRole("button",{name:"The task"}).click(); await q.waitForTimeout(800); await q.setViewportSize({width:1280,height:1400}); await q.waitForTimeout(500); await shot("task",false,q);
 await q.setViewportSize({width:390,height:844}); await q.waitForTimeout(600); await shot("taskphone",false,q);
 await p.goto(A+cl+"/new-assignment"); await p.getByLabel("Title",{exact:true}).fill("Lots"); await p.getByLabel("Due").fill("2031-05-05T10:00"); await p.getByLabel("Groups").selectOption("teacher"); await p.getByRole("button",{name:"Set the assignment"}).click(); await p.getByRole("heading",{name:"Where every group stands"}).waitFor(); await p.getByRole("button",{name:"Make groups"}).click(); await p.getByRole("button",{name:"Draw lots"}).click(); await p.waitForTimeout(300); await shot("lots");
 await p.setViewportSize({width:390,height:844}); await p.goto(A+"/teaching"); await shot("teachphone");
}
await browser.close();

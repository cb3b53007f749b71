// Draws the example's pictures into public/demo: SVG for what is drawn, seeded noise through sharp for what is
// photo-like. The same pictures every time. Run by the build; `node scripts/draw-demo.mjs --force` draws them anew.
import { existsSync, mkdirSync } from 'node:fs';
import { join } from 'node:path';
import sharp from 'sharp';

const OUT = join(import.meta.dirname, '..', 'public', 'demo');

/** Mulberry32: a small seeded generator, so that grain and stars stay where they are. */
function seeded(seed) {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

const svg = (width, height, body) =>
  Buffer.from(
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 ${width} ${height}">${body}</svg>`,
  );

/** Film grain over a drawing: noise of the given strength around mid grey, laid over softly. */
async function grained(image, width, height, seed, strength) {
  const random = seeded(seed);
  const noise = Buffer.alloc(width * height);
  for (let i = 0; i < noise.length; i++) noise[i] = 128 + (random() + random() - 1) * strength;
  const layer = await sharp(noise, { raw: { width, height, channels: 1 } })
    .blur(0.7)
    .toColourspace('srgb')
    .png()
    .toBuffer();
  return sharp(image).composite([{ input: layer, blend: 'soft-light' }]);
}

async function departuresBoard() {
  const [width, height] = [2880, 1880];
  const rows = [
    ['08.05', 'Coldharbour Quay', '1'],
    ['09.40', 'Thistle Bridge', '2'],
    ['11.15', 'Upper Wren', '1'],
    ['13.50', 'Slatefold Tunnel', '2'],
    ['16.30', 'Coldharbour Quay', '1'],
  ];
  const lines = rows
    .map(([time, place, platform], i) => {
      const y = 760 + i * 205;
      return `<text x="230" y="${y}" font-size="132">${time}</text><text x="760" y="${y}" font-size="132">${place}</text>
        <text x="2560" y="${y}" font-size="132">${platform}</text>
      <line x1="200" x2="2680" y1="${y + 58}" y2="${y + 58}" stroke="#22303a" stroke-width="4"/>`;
    })
    .join('');
  const body = `<rect width="${width}" height="${height}" fill="#fdfcf8"/>
    <rect x="70" y="70" width="${width - 140}" height="${height - 140}" fill="none" stroke="#22303a" stroke-width="22"/>
    <rect x="112" y="112" width="${width - 224}" height="${height - 224}" fill="none" stroke="#8a1f1c" stroke-width="8"/>
    <g font-family="serif" fill="#22303a"><text x="${width / 2}" y="350" font-size="210" font-weight="bold"
      text-anchor="middle" letter-spacing="24" fill="#8a1f1c">WRENFOLD HALT</text>
    <text x="230" y="540" font-size="88" font-style="italic">Departs</text>
      <text x="760" y="540" font-size="88" font-style="italic">For</text>
      <text x="2680" y="540" font-size="88" font-style="italic" text-anchor="end">Platform</text>
    <line x1="200" x2="2680" y1="585" y2="585" stroke="#8a1f1c" stroke-width="10"/>${lines}</g>`;
  await sharp(svg(width, height, body))
    .jpeg({ quality: 92 })
    .toFile(join(OUT, 'departures-board.jpg'));
}

async function viaductAtDusk() {
  const [width, height] = [3000, 2080];
  const random = seeded(11);
  const arches = Array.from({ length: 9 }, (_, i) => {
    const x = 130 + i * 320;
    return `M${x} 2080 V1120 A120 150 0 0 1 ${x + 240} 1120 V2080 Z`;
  }).join(' ');
  const hill = (base, swing, seed) => {
    const wave = seeded(seed);
    const phase = wave() * 6;
    const high = (i) => base - swing * (Math.sin(i * 0.11 + phase) + 0.5 * Math.sin(i * 0.31 + phase * 2));
    const line = Array.from({ length: 61 }, (_, i) => `L${i * 50} ${high(i)}`).join(' ');
    return `M0 ${height} ${line} L${width} ${height} Z`;
  };
  const steam = Array.from(
    { length: 38 },
    (_, i) =>
      `<circle cx="${1210 - i * 26 - random() * 30}" cy="${712 - i * 5 - random() * 60}" r="${22 + i * 2.6 + random() * 16}"
        fill="#fff5ea" opacity="${0.34 - i * 0.007}"/>`,
  ).join('');
  const windows = Array.from(
    { length: 15 },
    (_, i) => `<rect x="${1432 + i * 62}" y="822" width="34" height="30" fill="#ffd98a"/>`,
  ).join('');
  const body = `<defs><linearGradient id="sky" x1="0" y1="0" x2="0" y2="1"><stop offset="0" stop-color="#31446e"/>
    <stop offset=".38" stop-color="#8d86ab"/><stop offset=".62" stop-color="#eab391"/>
    <stop offset=".8" stop-color="#fbe3c0"/></linearGradient>
    <radialGradient id="sun" cx=".72" cy=".66" r=".4"><stop offset="0" stop-color="#fff3d6"/>
      <stop offset="1" stop-color="#fff3d6" stop-opacity="0"/></radialGradient>
    <linearGradient id="stone" x1="0" y1="0" x2="1" y2="0"><stop offset="0" stop-color="#4a4148"/>
      <stop offset="1" stop-color="#77615b"/></linearGradient><filter id="soft"><feGaussianBlur stdDeviation="16"/></filter></defs>
    <rect width="${width}" height="${height}" fill="url(#sky)"/><rect width="${width}" height="${height}" fill="url(#sun)"/>
    <path d="${hill(1260, 120, 3)}" fill="#8b7f96"/><path d="${hill(1430, 90, 8)}" fill="#655e78"/><g filter="url(#soft)">${steam}</g>
    <path fill-rule="evenodd" d="M0 900 H${width} V2080 H0 Z ${arches}" fill="url(#stone)"/>
      <path d="M0 900 H${width} v26 H0 Z" fill="#2f2a33"/>
    <g fill="#26222b"><rect x="1400" y="800" width="980" height="100"/><path d="M1170 900 v-86 h150 v-46 h74 v132 Z"/>
      <rect x="1196" y="742" width="26" height="76"/><circle cx="1216" cy="892" r="26"/><circle cx="1290" cy="892" r="26"/>
      <circle cx="1360" cy="892" r="26"/></g>${windows}
    <path d="${hill(1880, 60, 21)}" fill="#2c2a35"/>`;
  const drawn = await sharp(svg(width, height, body))
    .png()
    .toBuffer();
  await (await grained(drawn, width, height, 5, 70)).jpeg({ quality: 90 }).toFile(join(OUT, 'viaduct-at-dusk.jpg'));
}

async function fernPlate() {
  const [width, height] = [1500, 2000];
  const fronds = [];
  const frond = (x, y, length, angle, depth) => {
    const [dx, dy] = [Math.cos(angle), Math.sin(angle)];
    fronds.push(
      `<path d="M${x} ${y} q${dx * length * 0.5 - dy * 12} ${dy * length * 0.5 + dx * 12} ${dx * length} ${dy * length}"
        stroke-width="${depth === 0 ? 12 : 5}"/>`,
    );
    if (depth === 2) return;
    const leaves = depth === 0 ? 19 : 11;
    for (let i = 2; i <= leaves; i++) {
      const share = i / (leaves + 1);
      const size = length * (depth === 0 ? 0.4 : 0.34) * (1 - share) ** 0.75 * Math.min(1, share * 5);
      for (const side of [-1, 1]) {
        const [px, py] = [x + dx * length * share, y + dy * length * share];
        if (depth === 1)
          fronds.push(
            `<ellipse cx="${px + Math.cos(angle + side) * size * 0.5}" cy="${py + Math.sin(angle + side) * size * 0.5}"
              rx="${size * 0.5}" ry="${size * 0.2}" transform="rotate(${((angle + side) * 180) / Math.PI}
              ${px + Math.cos(angle + side) * size * 0.5} ${py + Math.sin(angle + side) * size * 0.5})" fill="#2e5a3c" stroke="none"/>`,
          );
        else frond(px, py, size, angle + side * 1.12, 1);
      }
    }
  };
  frond(740, 1650, 1330, -Math.PI / 2 + 0.06, 0);
  const body = `<rect width="${width}" height="${height}" fill="#ffffff"/>
    <rect x="50" y="50" width="${width - 100}" height="${height - 100}" fill="none" stroke="#2e5a3c" stroke-width="6"/>
    <g fill="none" stroke="#234a31" stroke-linecap="round">${fronds.join('')}</g>
    <path d="M620 1800 h260" stroke="#234a31" stroke-width="5"/><circle cx="750" cy="1800" r="16" fill="#8a1f1c"/>`;
  await sharp(svg(width, height, body))
    .png({ palette: true })
    .toFile(join(OUT, 'fern-plate.png'));
}

async function routeMap() {
  const [width, height] = [3000, 1700];
  const stops = [
    ['Coldharbour Quay', 300, 1240, 470, 1330],
    ['Thistle Bridge', 840, 1000, 1140, 1090],
    ['Wrenfold Halt', 1420, 860, 1190, 760],
    ['Upper Wren', 2020, 560, 2290, 640],
    ['Slatefold Tunnel', 2620, 420, 2440, 330],
  ];
  const line = `M${stops.map(([, x, y]) => `${x} ${y}`).join(' L')}`;
  const random = seeded(31);
  const hills = Array.from({ length: 26 }, () => {
    const [x, y, r] = [random() * width, 250 + random() * 1200, 60 + random() * 120];
    return `<path d="M${x - r} ${y} q${r} ${-r * 0.9} ${r * 2} 0" fill="none" stroke="#6d7a55" stroke-width="7" opacity=".55"/>`;
  }).join('');
  const marks = stops
    .map(
      (
        [name, x, y, textX, textY],
        i,
      ) => `<circle cx="${x}" cy="${y}" r="${i === 2 ? 40 : 28}" fill="#fdf9ee" stroke="#22303a" stroke-width="14"/>
    <text x="${textX}" y="${textY}" font-size="${i === 2 ? 104 : 78}" text-anchor="middle" font-family="serif"
      font-weight="${i === 2 ? 'bold' : 'normal'}" fill="${i === 2 ? '#8a1f1c' : '#22303a'}">${name}</text>`,
    )
    .join('');
  const body = `<rect width="${width}" height="${height}" fill="#fdf9ee"/>
    <path d="M0 1420 q500 -170 900 -30 t900 -40 t1200 -120 V${height} H0 Z" fill="#9db7c0"/>${hills}
    <path d="${line}" fill="none" stroke="#22303a" stroke-width="34" stroke-linejoin="round"/>
      <path d="${line}" fill="none" stroke="#fdf9ee" stroke-width="14" stroke-dasharray="40 30" stroke-linejoin="round"/>${marks}
    <text x="190" y="240" font-size="150" font-family="serif" font-weight="bold" fill="#8a1f1c"
      letter-spacing="10">THE WREN VALLEY LINE</text>
    <g transform="translate(2690 1420)"><circle r="120" fill="none" stroke="#22303a" stroke-width="9"/>
      <path d="M0 -150 L34 0 L0 150 L-34 0 Z" fill="#8a1f1c"/>
      <text y="-170" font-size="76" text-anchor="middle" font-family="serif" fill="#22303a">N</text></g>`;
  await sharp(svg(width, height, body))
    .jpeg({ quality: 92 })
    .toFile(join(OUT, 'route-map.jpg'));
}

async function crest() {
  const [width, height] = [2000, 1400];
  const spokes = Array.from(
    { length: 12 },
    (_, i) => `<path d="M0 0 L0 -205" transform="rotate(${i * 30})" stroke="#f3d9a2" stroke-width="18"/>`,
  ).join('');
  const leaves = [-1, 1]
    .flatMap((side) =>
      Array.from(
        { length: 9 },
        (_, i) =>
          `<ellipse cx="${1000 + side * (470 + 34 * Math.sin(i * 0.5))}" cy="${1010 - i * 84}" rx="60" ry="22"
            fill="#2e5a3c" transform="rotate(${side * (40 - i * 9)} ${1000 + side * (470 + 34 * Math.sin(i * 0.5))} ${1010 - i * 84})"/>`,
      ),
    )
    .join('');
  const body = `<rect width="${width}" height="${height}" fill="#ffffff"/>${leaves}
    <path d="M660 190 H1340 V640 C1340 930 1160 1070 1000 1150 C840 1070 660 930 660 640 Z" fill="#5a2130" stroke="#2a1118"
      stroke-width="22"/>
    <path d="M700 230 H1300 V640 C1300 905 1140 1030 1000 1100 C860 1030 700 905 700 640 Z" fill="none" stroke="#f3d9a2" stroke-width="9"/>
    <g transform="translate(1000 620)"><circle r="230" fill="none" stroke="#f3d9a2" stroke-width="34"/>
      <circle r="54" fill="#f3d9a2"/>${spokes}</g>
    <path d="M450 1190 q550 130 1100 0 l-40 130 q-510 110 -1020 0 Z" fill="#f3d9a2" stroke="#2a1118" stroke-width="9"/>
    <text x="1000" y="1300" font-size="96" text-anchor="middle" font-family="serif" letter-spacing="14"
      fill="#2a1118">WRENFOLD HALT</text>`;
  await sharp(svg(width, height, body))
    .png({ palette: true })
    .toFile(join(OUT, 'crest.png'));
}

async function tickets() {
  const [width, height] = [3000, 800];
  const random = seeded(77);
  const colours = ['#c9b48a', '#b98f7f', '#9fae92', '#a6b4bd', '#d6c7a4'];
  const places = ['COLDHARBOUR QUAY', 'THISTLE BRIDGE', 'UPPER WREN', 'SLATEFOLD'];
  const cards = Array.from({ length: 46 }, (_, i) => {
    const [x, y, turn] = [random() * 3000 - 100, random() * 760 - 60, (random() - 0.5) * 40];
    return `<g transform="translate(${x} ${y}) rotate(${turn})">
      <rect width="430" height="226" rx="16" fill="${colours[Math.floor(random() * 5)]}" stroke="#3a3029" stroke-width="5"/>
      <path d="M0 76 H430" stroke="#3a3029" stroke-width="3"/>
      <text x="215" y="54" font-size="38" text-anchor="middle" font-family="serif" fill="#2b221c">WREN VALLEY</text>
        <text x="215" y="128" font-size="40" text-anchor="middle" font-family="serif" fill="#2b221c">${places[i % 4]}</text>
        <text x="215" y="190" font-size="52" text-anchor="middle" font-family="monospace"
        fill="#8a1f1c">${1000 + Math.floor(random() * 8999)}</text></g>`;
  }).join('');
  const drawn = await sharp(svg(width, height, `<rect width="${width}" height="${height}" fill="#8d7a5d"/>${cards}`))
    .png()
    .toBuffer();
  await (await grained(drawn, width, height, 13, 60)).jpeg({ quality: 90 }).toFile(join(OUT, 'tickets.jpg'));
}

/** Two lamps and a timetable scroll for the benches' cushions: few strong colours, as cloth takes them. */
async function cushion() {
  const [width, height] = [2200, 2200];
  const lamp = (x, turn) =>
    `<g transform="translate(${x} 1080) rotate(${turn})"><path d="M-120 -330 h240 l70 150 h-380 z" fill="#2c3a45"/>
      <rect x="-150" y="-180" width="300" height="420" rx="26" fill="#f0c65a" stroke="#2c3a45" stroke-width="34"/>
      <path d="M0 -180 V240 M-150 30 H150" stroke="#2c3a45" stroke-width="20"/>
      <rect x="-190" y="240" width="380" height="90" rx="16" fill="#2c3a45"/>
      <path d="M-70 -330 q70 -150 140 0" fill="none" stroke="#2c3a45" stroke-width="30"/></g>`;
  const beam = Array.from(
    { length: 24 },
    (_, i) =>
      `<path d="M0 0 L0 -${i % 2 ? 980 : 860}" transform="translate(1100 1090) rotate(${i * 15})"
        stroke="${i % 2 ? '#c8d8cf' : '#e7d9b0'}" stroke-width="46"/>`,
  ).join('');
  const body = `<rect width="${width}" height="${height}" fill="#f7f3e8"/>${beam}
    <circle cx="1100" cy="1090" r="640" fill="#f7f3e8"/>${lamp(780, -8)}${lamp(1420, 8)}
    <path d="M330 1640 q770 180 1540 0 v210 q-770 180 -1540 0 z" fill="#7c2f36"/>
      <text x="1100" y="1830" font-size="116" text-anchor="middle" font-family="serif" font-weight="bold" fill="#f7f3e8"
      letter-spacing="12">MIND THE LAMPS</text>
    <rect x="90" y="90" width="${width - 180}" height="${height - 180}" fill="none" stroke="#7c2f36" stroke-width="26"/>`;
  await sharp(svg(width, height, body))
    .jpeg({ quality: 92 })
    .toFile(join(OUT, 'cushion.jpg'));
}

async function teaLabel() {
  const [width, height] = [1800, 1300];
  const leaf = (x, y, turn, size) =>
    `<path d="M0 0 C${size} -${size * 0.7} ${size * 2.1} -${size * 0.5} ${size * 2.7} 0 C${size * 2.1} ${size * 0.5} ${size}
      ${size * 0.7} 0 0 Z" fill="#2f5b3d" transform="translate(${x} ${y}) rotate(${turn})"/>`;
  const leaves = [
    [900, 470, -155, 110],
    [900, 470, -25, 110],
    [900, 450, -92, 120],
    [760, 560, 168, 70],
    [1040, 560, 12, 70],
  ]
    .map((one) => leaf(...one))
    .join('');
  const body = `<rect width="${width}" height="${height}" fill="#fbf7ea"/>
    <rect x="50" y="50" width="1700" height="1200" rx="60" fill="none" stroke="#2f5b3d" stroke-width="20"/>
    <rect x="96" y="96" width="1608" height="1108" rx="40" fill="none" stroke="#b5822f" stroke-width="8"/>${leaves}
    <text x="900" y="790" font-size="200" text-anchor="middle" font-family="serif" font-weight="bold" fill="#3a2417"
      letter-spacing="12">STATION TEA</text>
    <text x="900" y="930" font-size="92" text-anchor="middle" font-family="serif" font-style="italic"
      fill="#3a2417">black leaf, second flush</text><path d="M420 1000 H1380" stroke="#b5822f" stroke-width="8"/>
    <text x="900" y="1110" font-size="84" text-anchor="middle" font-family="serif" fill="#2f5b3d" letter-spacing="18">WRENFOLD HALT</text>`;
  await sharp(svg(width, height, body))
    .png({ palette: true })
    .toFile(join(OUT, 'tea-label.png'));
}

const files = {
  'departures-board.jpg': departuresBoard,
  'viaduct-at-dusk.jpg': viaductAtDusk,
  'fern-plate.png': fernPlate,
  'route-map.jpg': routeMap,
  'crest.png': crest,
  'tickets.jpg': tickets,
  'cushion.jpg': cushion,
  'tea-label.png': teaLabel,
};
mkdirSync(OUT, { recursive: true });
for (const [name, draw] of Object.entries(files)) {
  if (process.argv.includes('--force') || !existsSync(join(OUT, name))) await draw();
}

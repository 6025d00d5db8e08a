import {
  AmbientLight,
  BackSide,
  Box3,
  BufferGeometry,
  Color,
  DirectionalLight,
  EdgesGeometry,
  Group,
  LineBasicMaterial,
  LineSegments,
  Mesh,
  MeshBasicMaterial,
  MeshLambertMaterial,
  Object3D,
  OrthographicCamera,
  Plane,
  Raycaster,
  Scene,
  Vector2,
  Vector3,
  WebGLRenderer,
} from 'three'
import { GLTFLoader } from 'three/examples/jsm/loaders/GLTFLoader.js'
import { mergeGeometries } from 'three/examples/jsm/utils/BufferGeometryUtils.js'
import { axes, type Look } from './turning'

/** Inks of the drawing, as the page's theme has them. */
export interface Inks {
  sheet: string
  land: string
  ink: string
  faint: string
  heat: string
  blue: string
}

/** What is drawn how: places of what is picked and of what is too near. */
export interface Marks {
  chosen?: string
  short: ReadonlySet<string>
}

/** Corners flatter than this are not drawn as edges, degrees: a round thing shows its outline's ends only. */
const EDGE_ANGLE = 25
const SEE_THROUGH = 0.3

/** The room as a turnable drawing: paper-coloured faces, inked edges, everything of the room that is not the option's own to be seen through. */
export class RoomScene {
  private readonly renderer: WebGLRenderer
  private readonly scene = new Scene()
  private readonly camera = new OrthographicCamera()
  private readonly light = new DirectionalLight(0xffffff, 1.6)
  private readonly lines = new Group()
  private things = new Group()
  private asked = 0

  /** @throws where the browser draws nothing in three dimensions */
  constructor(
    private readonly canvas: HTMLCanvasElement,
    private inks: Inks,
    private marks: Marks,
  ) {
    this.renderer = new WebGLRenderer({ canvas, antialias: true, alpha: true })
    this.renderer.setPixelRatio(Math.min(devicePixelRatio, 2))
    this.scene.add(new AmbientLight(0xffffff, 2.2), this.light, this.things, this.lines)
  }

  /** @returns how far the things reach, by the file's axes; nothing where a newer file came in between or it is empty */
  async load(file: ArrayBuffer): Promise<Box3 | undefined> {
    const mine = ++this.asked
    const { scene } = await new GLTFLoader().parseAsync(file, '')
    if (mine !== this.asked) return undefined
    this.drop(this.things)
    this.things = new Group()
    for (const node of [...scene.children]) this.things.add(this.inked(node))
    this.scene.add(this.things)
    this.mark(this.inks, this.marks)
    const box = new Box3().setFromObject(this.things)
    return box.isEmpty() ? undefined : box
  }

  /** All parts of a thing as one: what is drawn costs by the piece. */
  private inked(node: Object3D): Object3D {
    const thing = new Group()
    thing.userData = node.userData
    const faces: BufferGeometry[] = []
    const edges: BufferGeometry[] = []
    node.traverse((part) => {
      if (!(part instanceof Mesh)) return
      faces.push((part.geometry as BufferGeometry).toNonIndexed())
      edges.push(new EdgesGeometry(part.geometry as BufferGeometry, EDGE_ANGLE))
    })
    if (!faces.length) return thing
    const geometry = mergeGeometries(faces)
    geometry.computeVertexNormals()
    const face = new Mesh(geometry, new MeshLambertMaterial({ polygonOffset: true, polygonOffsetFactor: 1, polygonOffsetUnits: 1 }))
    const inside = new Mesh(geometry, new MeshBasicMaterial({ side: BackSide }))
    const lines = new LineSegments(mergeGeometries(edges), new LineBasicMaterial())
    face.userData = { ...node.userData, what: 'face' }
    inside.userData = { what: 'inside' }
    lines.userData = { what: 'edges' }
    thing.add(face, inside, lines)
    return thing
  }

  /** Colours by what each is, what is picked and what is too near. */
  mark(inks: Inks, marks: Marks): void {
    this.inks = inks
    this.marks = marks
    for (const thing of this.things.children) {
      const { place, role } = thing.userData as { place: string; role: string }
      const body = role === 'body'
      const edge = marks.chosen === place ? inks.blue : marks.short.has(place) ? inks.heat : body ? inks.ink : inks.faint
      for (const part of thing.children as (Mesh | LineSegments)[]) {
        const material = part.material as MeshLambertMaterial | LineBasicMaterial
        const what = part.userData['what'] as string
        material.color = new Color(what === 'edges' ? edge : what === 'inside' ? (body ? inks.faint : inks.land) : body ? inks.sheet : inks.land)
        // What is picked shows through whatever stands before it.
        if (what === 'edges') {
          material.depthTest = marks.chosen !== place
          part.renderOrder = marks.chosen === place ? 1 : 0
        }
        // What is behind a face is seen where that is cut away only.
        if (what === 'inside') part.visible = this.cut !== undefined
        if (what !== 'edges') {
          material.transparent = !body
          material.opacity = body || this.cut ? 1 : SEE_THROUGH
          material.depthWrite = body || this.cut !== undefined
        }
      }
    }
  }

  private cut?: Plane
  /** @param plane what lies on its far side is cut away; everything is solid then */
  section(plane: Plane | undefined): void {
    this.cut = plane
    this.renderer.clippingPlanes = plane ? [plane] : []
    this.mark(this.inks, this.marks)
  }

  /** Lines over everything: a gap, a measure. */
  draw(lines: readonly { from: [number, number, number]; to: [number, number, number]; ink: string }[]): void {
    this.drop(this.lines)
    this.lines.clear()
    for (const l of lines) {
      const geometry = new BufferGeometry().setFromPoints([new Vector3(...l.from), new Vector3(...l.to)])
      const line = new LineSegments(geometry, new LineBasicMaterial({ color: l.ink, depthTest: false, clippingPlanes: [] }))
      line.renderOrder = 1
      this.lines.add(line)
    }
  }

  paint(look: Look, width: number, height: number): void {
    this.renderer.setSize(width, height, false)
    const { eye, up, right } = axes(look)
    const span = look.span / Math.min(width, height)
    Object.assign(this.camera, { left: (-span * width) / 2, right: (span * width) / 2, top: (span * height) / 2, bottom: (-span * height) / 2 })
    this.camera.near = 0.01
    this.camera.far = 60
    const at = new Vector3(...look.at)
    this.camera.position.copy(at).addScaledVector(new Vector3(...eye), 30)
    this.camera.up.set(...up)
    this.camera.lookAt(at)
    this.camera.updateProjectionMatrix()
    // From over the left shoulder, so that faces differ.
    this.light.position
      .copy(new Vector3(...eye))
      .addScaledVector(new Vector3(...up), 0.9)
      .addScaledVector(new Vector3(...right), -0.6)
    this.renderer.render(this.scene, this.camera)
  }

  /** @returns what is under a point of the canvas, -1 to 1 each way, and where on it */
  under(x: number, y: number): { place: string; at: Vector3 } | undefined {
    const ray = new Raycaster()
    ray.setFromCamera(new Vector2(x, y), this.camera)
    const hit = ray
      .intersectObject(this.things)
      .find((h) => h.object.userData['what'] === 'face' && (!this.cut || this.cut.distanceToPoint(h.point) >= 0))
    return hit && { place: hit.object.userData['place'] as string, at: hit.point }
  }

  /** @returns where a place of the file is on the canvas, px */
  onCanvas(place: [number, number, number]): [number, number] {
    const p = new Vector3(...place).project(this.camera)
    return [((p.x + 1) / 2) * this.canvas.clientWidth, ((1 - p.y) / 2) * this.canvas.clientHeight]
  }

  private drop(group: Object3D): void {
    group.traverse((o) => {
      if (o instanceof Mesh || o instanceof LineSegments) {
        ;(o.geometry as BufferGeometry).dispose()
        ;(o.material as MeshBasicMaterial).dispose()
      }
    })
    if (group !== this.lines) this.scene.remove(group)
  }

  dispose(): void {
    this.asked++
    this.drop(this.things)
    this.drop(this.lines)
    this.renderer.dispose()
  }
}

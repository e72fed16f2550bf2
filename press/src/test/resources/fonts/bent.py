# A small variable font of our own: bent axis (avar), a composite that moves, points that go along, forms that change with the axis.
import sys
from fontTools.fontBuilder import FontBuilder
from fontTools.pens.ttGlyphPen import TTGlyphPen
from fontTools.ttLib import newTable
from fontTools.varLib.featureVars import addFeatureVariations
from fontTools.ttLib.tables.TupleVariation import TupleVariation
def box(w, h):
    p = TTGlyphPen(None); p.moveTo((50,0)); p.lineTo((50,h)); p.lineTo((w-50,h)); p.lineTo((w-50,0)); p.closePath(); return p.glyph()
names = ['.notdef','A','A.bold','B']
fb = FontBuilder(1000, isTTF=True)
fb.setupGlyphOrder(names)
fb.setupCharacterMap({65:'A',66:'B'})
glyphs = {n: box(500 + 40*i, 600 + 30*i) for i,n in enumerate(names)}
# a glyph with a part in it
c = TTGlyphPen(glyphs); c.addComponent('A',(1,0,0,1,30,40)); c.addComponent('A.bold',(0.5,0,0,0.5,300,0)); glyphs['B'] = c.glyph()
fb.setupGlyf(glyphs)
fb.setupHorizontalMetrics({n:(500+40*i, 50 if n!='B' else 80) for i,n in enumerate(names)})
fb.setupHorizontalHeader(ascent=800, descent=-200)
fb.setupNameTable({'familyName':'Bent','styleName':'Regular'})
fb.setupOS2(sTypoAscender=800, fsType=0)
fb.setupPost()
fb.setupFvar([('wght',100,400,900,'Weight')],[{'location':{'wght':700},'stylename':'Bold'}])
fb.setupGvar({
 'A':[TupleVariation({'wght':(0,1,1)},[(10,0),None,None,(-30,5),(0,0),(60,0),(0,0),(0,0)])],
 'A.bold':[TupleVariation({'wght':(0,1,1)},[(5,0),(5,50),(-5,50),(-5,0),(0,0),(20,0),(0,0),(0,0)])],
 'B':[TupleVariation({'wght':(0,1,1)},[(20,0),(40,-10),(0,0),(80,0),(0,0),(0,0)])],
 '.notdef':[]})
avar = newTable('avar'); avar.segments = {'wght':{-1.0:-1.0, 0.0:0.0, 0.5:0.8, 1.0:1.0}}; fb.font['avar']=avar
addFeatureVariations(fb.font, [([{'wght':(0.5,1.0)}], {'A':'A.bold'})])
fb.font.save(sys.argv[1])

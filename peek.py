import json,sys,glob
for q in sys.argv[1:]:
    k,name=q.split(':',1)
    f=glob.glob(f'measure/practice/later/{k}-*.json')[0]
    d=json.load(open(f))
    it=[i for i in d['log']['items'] if i['name']==name][0]
    print('==',k,d['school'],d['today'],{a:b for a,b in it.items() if a not in('id',)})
    for t in d['log']['trips']:
        for m in t.get('marks',[]):
            if m['item'] in (it.get('id'),name): print('   ',t.get('name'),t['starts'],t['ends'],{a:b for a,b in m.items() if a!='item'}, {c:v for c,v in t.get('conditions',{}).items() if v!='none'}, 'STAY' if it.get('id') in t.get('stay',[]) or name in t.get('stay',[]) else '')
    for e in d['log'].get('entries',[]):
        if e['item'] in (it.get('id'),name): print('   E',e)

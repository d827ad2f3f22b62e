<?php

declare(strict_types=1);

namespace SilverParrot\Response\Evaluation;

use SilverParrot\Source\Fold;

/**
 * The words for yes and no, by language: CLDR 41, common/main, posix/messages (Debian unicode-cldr-core). ICU leaves
 * them out.
 */
final class YesNo
{
    /** @var array<string, array{string, string}> language => yes, no */
    private const WORDS = [
        'af' => ['ja', 'nee'],
        'agq' => ['òo', 'hǎe'],
        'ak' => ['Yiw', 'Daabi'],
        'am' => ['አዎን', 'አይ'],
        'ar' => ['نعم', 'لا'],
        'as' => ['হয়', 'নহয়'],
        'asa' => ['Iyee', 'Hai'],
        'ast' => ['sí', 'non'],
        'az' => ['hə', 'yox'],
        'bas' => ['ŋ̀ŋ̂', 'tɔ̀'],
        'be' => ['так', 'не'],
        'bem' => ['Ee', 'Awe'],
        'bez' => ['Eeh', 'Sio ewo'],
        'bg' => ['да', 'не'],
        'bm' => ['ɔwɔ', 'ayi'],
        'bn' => ['হ্যাঁ', 'না'],
        'bo' => ['ཡིན།', 'མིན།'],
        'br' => ['ya', 'ket'],
        'brx' => ['नंगौ', 'नङा'],
        'bs' => ['da', 'ne'],
        'ca' => ['sí', 'no'],
        'ccp' => ['𑄃𑄳𑄦𑄨', '𑄚'],
        'ceb' => ['oo', 'dili'],
        'cgg' => ['Eego', 'Ngaaha/apaana'],
        'chr' => ['ᎥᎥ', 'ᎥᏝ'],
        'ckb' => ['بەڵێ', 'نەخێر'],
        'cs' => ['ano', 'ne'],
        'cy' => ['ie', 'na'],
        'da' => ['ja', 'nej'],
        'dav' => ['Huwo', 'Mbai'],
        'de' => ['ja', 'nein'],
        'dje' => ['Ayyo', 'Kala'],
        'doi' => ['हां', 'नेईं'],
        'dsb' => ['jo', 'ně'],
        'dua' => ['ee', 'kɛ́m'],
        'dyo' => ['Eey', 'Hani'],
        'dz' => ['ཨིན་', 'མེན་'],
        'ebu' => ['Ii', 'Ka'],
        'ee' => ['ɛ', 'ao'],
        'el' => ['ναι', 'όχι'],
        'en' => ['yes', 'no'],
        'eo' => ['jes', 'ne'],
        'es' => ['sí', 'no'],
        'et' => ['jah', 'ei'],
        'eu' => ['bai', 'ez'],
        'ewo' => ['Owé', 'Tɛgɛ'],
        'fa' => ['بله', 'نه'],
        'ff' => ['Eey', 'Alaa'],
        'fi' => ['kyllä', 'ei'],
        'fil' => ['oo', 'hindi'],
        'fo' => ['ja', 'nei'],
        'fr' => ['oui', 'non'],
        'fur' => ['sì', 'no'],
        'fy' => ['ja', 'nee'],
        'ga' => ['tá', 'níl'],
        'gd' => ['tha', 'chan eil'],
        'gl' => ['si', 'non'],
        'gsw' => ['ja', 'näi'],
        'gu' => ['હા', 'નહીં'],
        'guz' => ['Ee bono', 'Yaya'],
        'ha' => ['i', 'aʼa'],
        'he' => ['כן', 'לא'],
        'hi' => ['हाँ', 'नहीं'],
        'hr' => ['da', 'ne'],
        'hsb' => ['haj', 'ně'],
        'hu' => ['igen', 'nem'],
        'hy' => ['այո', 'ոչ'],
        'ia' => ['si', 'no'],
        'id' => ['ya', 'tidak'],
        'ig' => ['Eye', 'Mba'],
        'ii' => ['ꉬ', 'ꀋꉬ'],
        'is' => ['já', 'nei'],
        'it' => ['sì', 'no'],
        'ja' => ['はい', 'いいえ'],
        'jgo' => ['ɔ́ŋ', 'ŋgáŋ'],
        'jmc' => ['Haya', 'Ote'],
        'jv' => ['yoh', 'ora'],
        'ka' => ['კი', 'არა'],
        'kab' => ['Ih', 'Uhu'],
        'kam' => ['Ĩĩ', 'Aiee'],
        'kde' => ['Elo', 'Nanga'],
        'kea' => ['Sin', 'Nãu'],
        'kgp' => ['hỹ', 'tũ'],
        'khq' => ['Ayyo', 'Kala'],
        'ki' => ['Ĩĩ', 'Ca'],
        'kk' => ['иә', 'жоқ'],
        'kl' => ['aap', 'naagga'],
        'kln' => ['Wei', 'Achicha'],
        'km' => ['បាទ/ចាស​៖ y', 'ទេ​៖ n'],
        'kn' => ['ಹೌದು', 'ಇಲ್ಲ'],
        'ko' => ['예', '아니요'],
        'kok' => ['हय', 'ना'],
        'ks' => ['آ', 'نَہ'],
        'ksb' => ['Ehe', 'Doo'],
        'ksf' => ['Ɛ́', 'EÉ'],
        'ksh' => ['jo', 'nä'],
        'ku' => ['erê', 'na'],
        'ky' => ['ооба', 'жок'],
        'lag' => ['Hɨɨ', 'Tʉkʉ'],
        'lb' => ['jo', 'nee'],
        'lg' => ['Ye', 'Nedda'],
        'ln' => ['Íyo', 'Tɛ̂'],
        'lo' => ['yes', 'no'],
        'lrc' => ['هأری', 'نه'],
        'lt' => ['taip', 'ne'],
        'lu' => ['Eyo', 'To'],
        'luo' => ['ee', 'da'],
        'luy' => ['Ye', 'Dave'],
        'lv' => ['jā', 'nē'],
        'mai' => ['हं', 'नहि'],
        'mas' => ['Eé', 'Á’ā'],
        'mer' => ['Ii', 'Arĩ'],
        'mfe' => ['Wi', 'Non'],
        'mg' => ['Eny', 'Tsia'],
        'mgh' => ['eyo', 'akin’tuna'],
        'mgo' => ['èè', 'ideg.'],
        'mi' => ['āe', 'kāo'],
        'mk' => ['да', 'не'],
        'ml' => ['ഉവ്വ്', 'അല്ല'],
        'mn' => ['тийм', 'үгүй'],
        'mni' => ['য়েস', 'নো'],
        'mr' => ['होयःहो', 'नाहीःना'],
        'ms' => ['ya', 'tidak'],
        'mt' => ['iva', 'le'],
        'mua' => ['Oho', 'A a'],
        'my' => ['Yes', 'No'],
        'mzn' => ['yes', 'no'],
        'naq' => ['Îi', 'Hî-î'],
        'nd' => ['Yebo', 'Hatshi'],
        'nds' => ['jo', 'nee'],
        'ne' => ['हो', 'होइन'],
        'nl' => ['ja', 'nee'],
        'nmg' => ['Yaŋ', 'Nzúl'],
        'nn' => ['ja', 'nei'],
        'no' => ['ja', 'nei'],
        'nus' => ['Ɣää', 'Ëëy'],
        'nyn' => ['Eego', 'Ngaaha/apaana'],
        'or' => ['ହଁ', 'ନା'],
        'os' => ['уойы', 'нӕйы'],
        'pa' => ['ਹਾਂ', 'ਨਹੀਂ'],
        'pcm' => ['yẹs', 'no'],
        'pl' => ['tak', 'nie'],
        'ps' => ['هو', 'نه'],
        'pt' => ['sim', 'não'],
        'rm' => ['gea', 'na'],
        'rn' => ['Ego', 'Oya'],
        'ro' => ['da', 'nu'],
        'rof' => ['Yee', 'Ehe'],
        'root' => ['yes', 'no'],
        'ru' => ['да', 'нет'],
        'rwk' => ['Haya', 'Ote'],
        'sa' => ['आम्', 'न'],
        'sah' => ['сөп', 'суох'],
        'saq' => ['Neja', 'Nara'],
        'sat' => ['ᱦᱚᱸᱺᱦ', 'ᱵᱟᱝᱺᱵ'],
        'sbp' => ['Ena', 'Ndaali'],
        'sc' => ['eja', 'nono'],
        'sd' => ['ها', 'نه'],
        'se' => ['jo', 'ii'],
        'seh' => ['Ande', 'Nkhabe'],
        'ses' => ['Ayyo', 'Kala'],
        'sg' => ['Iin', 'Én-en'],
        'shi' => ['ⵢⵢⵉⵀ', 'ⵓⵀⵓ'],
        'si' => ['ඔව්', 'නැත'],
        'sk' => ['áno', 'nie'],
        'sl' => ['da', 'ne'],
        'sn' => ['Hongu', 'Kwete'],
        'so' => ['haa', 'maya'],
        'sq' => ['po', 'jo'],
        'sr' => ['да', 'не'],
        'su' => ['enya', 'teu'],
        'sv' => ['ja', 'nej'],
        'sw' => ['Ndiyo', 'Hapana'],
        'ta' => ['ஆம்', 'இல்லை'],
        'te' => ['అవును', 'వద్దు'],
        'teo' => ['Eeh', 'Kuju'],
        'th' => ['ใช่', 'ไม่ใช่'],
        'tk' => ['hawa', 'ýok'],
        'to' => ['ʻio', 'ʻikai'],
        'tr' => ['evet', 'hayir'],
        'tt' => ['әйе', 'юк'],
        'twq' => ['Ayyo', 'Kala'],
        'tzm' => ['Yeh', 'Uhu'],
        'ug' => ['ھەئە', 'ياق'],
        'uk' => ['так', 'ні'],
        'ur' => ['ہاں', 'نہیں'],
        'uz' => ['ha', 'yo‘q'],
        'vai' => ['yes', 'ꔉꔒ'],
        'vi' => ['có', 'không'],
        'vun' => ['Haya', 'Ote'],
        'wae' => ['ja', 'nei'],
        'wo' => ['waaw', 'déedet'],
        'xh' => ['ewe', 'hayi'],
        'xog' => ['Ye', 'Be'],
        'yav' => ['ɛ́ɛ́ɛ', 'aákó'],
        'yo' => ['Bẹ́ẹ̀ni ', 'Bẹ́ẹ̀kọ́'],
        'yrl' => ['eẽ', 'ũbaá'],
        'yue' => ['係', '唔係'],
        'zgh' => ['ⵢⵢⵉⵀ', 'ⵓⵀⵓ'],
        'zh' => ['确定', '否定'],
        'zu' => ['yebo', 'cha'],
    ];

    public static function word(bool $value, string $language): string
    {
        $words = self::WORDS[strtolower(explode('-', strtr($language, '_', '-'))[0])] ?? self::WORDS['en'];

        return $words[$value ? 0 : 1];
    }

    /** Whether a text says yes or no in some language. */
    public static function isWord(string $text): bool
    {
        foreach (array_keys(self::WORDS) as $language) {
            if (self::read($text, $language) !== null) {
                return true;
            }
        }

        return false;
    }

    /**
     * @return bool|null what a text or a number says: “yes” and “no” in the language or in English, true and false, on
     *     and off, 1 and 0; null for anything else
     */
    public static function read(int|string $typed, string $language): ?bool
    {
        $text = Fold::caseless(trim((string) $typed));
        foreach ([true, false] as $value) {
            $words = $value ? ['yes', 'true', 'on', '1'] : ['no', 'false', 'off', '0'];
            if (in_array($text, [...$words, Fold::caseless(self::word($value, $language))], true)) {
                return $value;
            }
        }

        return null;
    }
}

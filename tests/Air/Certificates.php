<?php

declare(strict_types=1);

namespace Tests\Air;

use PHPUnit\Framework\Assert;

/** An authority of the tests' own, and servers' certificates: good ones and others. */
final readonly class Certificates
{
    private \OpenSSLAsymmetricKey $key;

    private \OpenSSLCertificate $authority;

    public function __construct(public string $folder)
    {
        file_put_contents(
            "$folder/openssl.cnf",
            "[req]\ndistinguished_name=dn\n[dn]\n[ca]\nbasicConstraints=critical,CA:TRUE\n"
                ."[good]\nsubjectAltName=DNS:localhost\n[other]\nsubjectAltName=DNS:elsewhere.example\n",
        );
        [$this->key, $this->authority] = $this->make('Test authority', 'ca', null, 30);
        openssl_x509_export_to_file($this->authority, "$folder/authority.pem");
    }

    /** @return list<string> the harbour's options */
    public function server(string $extension, int $days, bool $signedByItself = false): array
    {
        [$key, $certificate] = $this->make('localhost', $extension, $signedByItself ? null : $this->authority, $days);
        $name = "{$this->folder}/$extension$days".($signedByItself ? 'self' : '');
        openssl_x509_export_to_file($certificate, "$name.pem");
        openssl_pkey_export_to_file($key, "$name.key");

        return ["--certificate=$name.pem", "--certificate-key=$name.key"];
    }

    /** @return array{\OpenSSLAsymmetricKey, \OpenSSLCertificate} */
    private function make(string $name, string $extension, ?\OpenSSLCertificate $by, int $days): array
    {
        $options = [
            'config' => "{$this->folder}/openssl.cnf",
            'x509_extensions' => $extension,
            'digest_alg' => 'sha256',
        ];
        $key = openssl_pkey_new([
            'private_key_type' => OPENSSL_KEYTYPE_EC,
            'private_key_bits' => 2048,
            'curve_name' => 'prime256v1',
            'config' => $options['config'],
        ]);
        Assert::assertInstanceOf(\OpenSSLAsymmetricKey::class, $key);
        $request = openssl_csr_new(['commonName' => $name], $key, $options);
        Assert::assertInstanceOf(\OpenSSLCertificateSigningRequest::class, $request);
        $certificate = openssl_csr_sign(
            $request,
            $by,
            $by === null ? $key : $this->key,
            $days,
            $options,
            random_int(1, PHP_INT_MAX),
        );
        Assert::assertInstanceOf(\OpenSSLCertificate::class, $certificate);

        return [$key, $certificate];
    }
}
